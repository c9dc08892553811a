"use client";

import { type FormEvent } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { TableOutcome, textOf } from "@/app/_parts/TableOutcome";
import { useUpload } from "@/app/_parts/useUpload";

const tables = { looks: "Looks", finds: "Finds", acts: "Acts" } as const;
type Table = keyof typeof tables;

/** Tables from a spreadsheet: what was looked at, found and done elsewhere, or before. */
export function TablesForm() {
  const { going, result, send } = useUpload("/settings/data/csv", "application/json");
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const { elements } = event.currentTarget;
    const of = (table: Table) => textOf((elements.namedItem(`csv-${table}`) as HTMLInputElement).files?.[0]);
    void send(async () =>
      JSON.stringify({ looks: await of("looks"), finds: await of("finds"), acts: await of("acts") }),
    );
  };
  return (
    <Form onSubmit={submit}>
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
