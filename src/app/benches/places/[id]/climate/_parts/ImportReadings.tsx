"use client";

import { useRouter } from "next/navigation";
import { useState, type FormEvent } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { notSent, TableOutcome, textOf } from "@/app/_parts/TableOutcome";
import type { DeedResult } from "@/ui/fields/deedResult";
import { useCollection } from "@/ui/shell/Collection";
import { doubtNames } from "@/wording/rooms";
import type { Doubt } from "@/core/climate/samples";

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
      const text = file ? await textOf(file) : pasted;
      const answer = await fetch(`/benches/places/${placeId}/climate/readings`, {
        method: "POST",
        body: text,
        headers: { "x-collection": collectionId, "content-type": "text/csv" },
      });
      const came = (await answer.json()) as DeedResult;
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
      <TableOutcome result={result}>
        {({ added, known, doubted: doubts }) =>
          `${String(added)} days new, ${String(known)} known already.${doubted(doubts as Partial<Record<Doubt, number>>)}`
        }
      </TableOutcome>
    </Form>
  );
}

function doubted(all: Partial<Record<Doubt, number>>): string {
  const parts = Object.entries(all).map(([doubt, count]) => `${count} ${doubtNames[doubt as Doubt]}`);
  return parts.length > 0 ? ` Not believed: ${parts.join(", ")}.` : "";
}
