"use client";

import { useRouter } from "next/navigation";
import { useState, type FormEvent } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { notSent, TableOutcome, textOf } from "@/app/_parts/TableOutcome";
import type { CommandResult } from "@/offline/commandResult";
import { useCollection } from "@/ui/shell/Collection";

const tables = { looks: "Looks", finds: "Finds", acts: "Acts" } as const;
type Table = keyof typeof tables;

/** Tables from a spreadsheet: what was looked at, found and done elsewhere, or before. */
export function TablesForm() {
  const { id: collectionId } = useCollection();
  const router = useRouter();
  const [going, setGoing] = useState(false);
  const [result, setResult] = useState<CommandResult | null>(null);

  const send = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const { elements } = event.currentTarget;
    const of = (table: Table) => textOf((elements.namedItem(`csv-${table}`) as HTMLInputElement).files?.[0]);
    setGoing(true);
    try {
      const texts = { looks: await of("looks"), finds: await of("finds"), acts: await of("acts") };
      const answer = await fetch("/settings/data/csv", {
        method: "POST",
        body: JSON.stringify(texts),
        headers: { "x-collection": collectionId, "content-type": "application/json" },
      });
      const came = (await answer.json()) as CommandResult;
      setResult(came);
      if (came.ok) router.refresh();
    } catch (error) {
      setResult(notSent(error));
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
        {going ? "Importing …" : "Import the tables"}
      </Button>
      <TableOutcome result={result}>
        {({ added, known, struckOut }) =>
          `${String(added)} new, ${String(known)} known already${struckOut ? `, ${String(struckOut)} struck out and left out` : ""}.`
        }
      </TableOutcome>
    </Form>
  );
}
