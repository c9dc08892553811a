"use client";

import { useRouter } from "next/navigation";
import { useState, type FormEvent } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import type { DeedResult } from "@/ui/fields/deedResult";
import { useCollection } from "@/ui/shell/Collection";
import { doubtNames } from "@/wording/rooms";
import type { Doubt } from "@/core/climate/samples";

const LOST = { path: "", message: "It could not be sent. Bringing it in again does it once: check the connection." };
const NO_TEXT = { path: "", message: "The file is no text. Save the table as CSV (UTF-8) and choose it again." };

/** A table of readings, pasted or chosen as a file. */
export function ImportReadings({ placeId }: { placeId: string }) {
  const { id: collectionId } = useCollection();
  const router = useRouter();
  const [going, setGoing] = useState(false);
  const [result, setResult] = useState<DeedResult | null>(null);
  const send = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const { elements } = event.currentTarget;
    const file = (elements.namedItem("readings-file") as HTMLInputElement).files?.[0];
    const pasted = (elements.namedItem("readings-text") as HTMLTextAreaElement).value;
    setGoing(true);
    setResult(null);
    try {
      const text = file ? new TextDecoder("utf-8", { fatal: true }).decode(await file.arrayBuffer()) : pasted;
      const answer = await fetch(`/benches/places/${placeId}/climate/readings`, {
        method: "POST",
        body: text,
        headers: { "x-collection": collectionId, "content-type": "text/csv" },
      });
      const came = (await answer.json()) as DeedResult;
      setResult(came);
      if (came.ok) router.refresh();
    } catch (error) {
      const noText = error instanceof TypeError && /decod|encod/i.test(error.message);
      setResult({ ok: false, problems: [noText ? NO_TEXT : LOST] });
    } finally {
      setGoing(false);
    }
  };
  return (
    <Form onSubmit={send}>
      <p className="small">
        With a heading: time and temperature, humidity too; or date, min and max, or mean. °C, or °F where the heading
        says so.
      </p>
      <Form.Group controlId="readings-text" className="mb-2">
        <Form.Label className="fw-semibold mb-1">Pasted</Form.Label>
        <Form.Control
          as="textarea"
          rows={3}
          name="readings-text"
          placeholder={"time,temperature,humidity\n2026-11-24 08:00,19.5,44"}
        />
      </Form.Group>
      <Form.Group controlId="readings-file" className="mb-2">
        <Form.Label className="fw-semibold mb-1">Or a file</Form.Label>
        <Form.Control name="readings-file" type="file" accept=".csv,.tsv,.txt,text/csv" />
      </Form.Group>
      <Button type="submit" disabled={going}>
        {going ? "Bringing it in …" : "Bring it in"}
      </Button>
      {result?.ok && (
        <Alert variant="success" className="mt-2 mb-0" role="status">
          {String(result.value["added"])} days new, {String(result.value["known"])} known already.
          {doubted(result.value["doubted"] as Partial<Record<Doubt, number>>)}
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

function doubted(all: Partial<Record<Doubt, number>>): string {
  const parts = Object.entries(all).map(([doubt, count]) => `${count} ${doubtNames[doubt as Doubt]}`);
  return parts.length > 0 ? ` Not believed: ${parts.join(", ")}.` : "";
}
