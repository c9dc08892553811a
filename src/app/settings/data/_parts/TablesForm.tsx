"use client";

import { useRouter } from "next/navigation";
import { useState, type FormEvent } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import type { DeedResult } from "@/ui/fields/deedResult";
import { useCollection } from "@/ui/shell/Collection";

const tables = { looks: "Looks", finds: "Finds", acts: "Acts" } as const;
type Table = keyof typeof tables;

const CONNECTION = {
  path: "",
  message: "It could not be sent. Bringing it in again does it once: check the connection.",
};

/** Tables from a spreadsheet: what was looked at, found and done elsewhere, or before. */
export function TablesForm() {
  const { id: collectionId } = useCollection();
  const router = useRouter();
  const [going, setGoing] = useState(false);
  const [result, setResult] = useState<DeedResult | null>(null);

  const send = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const { elements } = event.currentTarget;
    const textOf = async (table: Table) => {
      const file = (elements.namedItem(`csv-${table}`) as HTMLInputElement).files?.[0];
      return file ? new TextDecoder("utf-8", { fatal: true }).decode(await file.arrayBuffer()) : "";
    };
    setGoing(true);
    try {
      const texts = { looks: await textOf("looks"), finds: await textOf("finds"), acts: await textOf("acts") };
      const answer = await fetch("/settings/data/csv", {
        method: "POST",
        body: JSON.stringify(texts),
        headers: { "x-collection": collectionId, "content-type": "application/json" },
      });
      const came = (await answer.json()) as DeedResult;
      setResult(came);
      if (came.ok) router.refresh();
    } catch (error) {
      const noText = { path: "", message: "A file is no text. Save the table as CSV (UTF-8) and choose it again." };
      setResult({
        ok: false,
        problems: [error instanceof TypeError && /decod|encod/i.test(error.message) ? noText : CONNECTION],
      });
    } finally {
      setGoing(false);
    }
  };

  return (
    <Form onSubmit={send}>
      {(Object.keys(tables) as Table[]).map((table) => (
        <Form.Group key={table} controlId={`csv-${table}`} className="mb-2">
          <Form.Label className="fw-semibold mb-1">{tables[table]}</Form.Label>
          <Form.Control name={`csv-${table}`} type="file" accept=".csv,.tsv,.txt,text/csv" />
        </Form.Group>
      ))}
      <Button type="submit" disabled={going}>
        {going ? "Bringing them in …" : "Bring the tables in"}
      </Button>
      {result?.ok && (
        <Alert variant="success" className="mt-2 mb-0" role="status">
          {String(result.value["added"])} new, {String(result.value["known"])} known already
          {result.value["struckOut"] ? `, ${String(result.value["struckOut"])} struck out and left out` : ""}.
        </Alert>
      )}
      {result && !result.ok && (
        <Alert variant="danger" className="mt-2 mb-0">
          <strong>Nothing was brought in.</strong>
          <ul className="mb-0 ps-3">
            {result.problems.map(({ message }, i) => (
              <li key={i}>{message}</li>
            ))}
          </ul>
        </Alert>
      )}
    </Form>
  );
}
