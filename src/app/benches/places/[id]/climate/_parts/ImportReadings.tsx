"use client";

import { type FormEvent } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { TableOutcome, textOf } from "@/app/_parts/TableOutcome";
import { useUpload } from "@/app/_parts/useUpload";
import type { CommandResult } from "@/offline/commandResult";
import { useUnits } from "@/ui/shell/Collection";
import { doubtNames } from "@/wording/advice/seasons/seasons";
import type { Doubt } from "@/core/climate/samples";

const useReadings = (placeId: string) => useUpload(`/benches/places/${placeId}/climate/readings`, "text/csv");

function Came({ result }: { result: CommandResult | null }) {
  return (
    <TableOutcome result={result}>
      {({ added, known, doubted: doubts }) =>
        `${String(added)} ${added === 1 ? "day" : "days"} new, ${String(known)} known already.${doubted(doubts as Partial<Record<Doubt, number>>)}`
      }
    </TableOutcome>
  );
}

/** What a max–min thermometer says of a day: its lowest and its highest make the day, as a sine between them. */
export function MaxMin({ placeId, day }: { placeId: string; day: string }) {
  const unit = useUnits() === "us" ? "°F" : "°C";
  const { going, result, send } = useReadings(placeId);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const cells = ["day", "low", "high"].map((name) => String(typed.get(name) ?? "").replace(",", "."));
    void send(async () => `date,min ${unit},max ${unit}\n${cells.join(",")}`);
  };
  return (
    <Form onSubmit={submit}>
      <div className="row gx-2">
        <Form.Group controlId="maxmin-low" className="col-6 mb-2">
          <Form.Label className="fw-semibold mb-1">Lowest, {unit}</Form.Label>
          <Form.Control name="low" inputMode="decimal" required />
        </Form.Group>
        <Form.Group controlId="maxmin-high" className="col-6 mb-2">
          <Form.Label className="fw-semibold mb-1">Highest, {unit}</Form.Label>
          <Form.Control name="high" inputMode="decimal" required />
        </Form.Group>
      </div>
      <Form.Group controlId="maxmin-day" className="mb-2">
        <Form.Label className="fw-semibold mb-1">Day</Form.Label>
        <Form.Control name="day" type="date" defaultValue={day} required />
      </Form.Group>
      <Button type="submit" disabled={going}>
        {going ? "Saving …" : "Save the day"}
      </Button>
      <Came result={result} />
    </Form>
  );
}

/** A table of readings, pasted or chosen as a file. */
export function ImportReadings({ placeId }: { placeId: string }) {
  const { going, result, send } = useReadings(placeId);
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const { elements } = event.currentTarget;
    const file = (elements.namedItem("readings-file") as HTMLInputElement).files?.[0];
    const pasted = (elements.namedItem("readings-text") as HTMLTextAreaElement).value;
    void send(async () => (file ? textOf(file) : pasted));
  };
  return (
    <Form onSubmit={submit}>
      <p className="small">
        With a header row: time and temperature, optionally humidity; or date, min and max, or mean. °C, or °F if the
        header says so.
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
        <Form.Label className="fw-semibold mb-1">Or choose a file</Form.Label>
        <Form.Control name="readings-file" type="file" accept=".csv,.tsv,.txt,text/csv" />
      </Form.Group>
      <Button type="submit" disabled={going}>
        {going ? "Importing …" : "Import"}
      </Button>
      <Came result={result} />
    </Form>
  );
}

function doubted(all: Partial<Record<Doubt, number>>): string {
  const parts = Object.entries(all).map(([doubt, count]) => `${count} ${doubtNames[doubt as Doubt]}`);
  return parts.length > 0 ? ` Not believed: ${parts.join(", ")}.` : "";
}
