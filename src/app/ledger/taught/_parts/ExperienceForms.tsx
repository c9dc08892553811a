"use client";

import { type FormEvent } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { forgetExperienceAction } from "@/app/_parts/actions";
import { TableOutcome, textOf } from "@/app/_parts/TableOutcome";
import { usePress } from "@/app/_parts/usePress";
import { useUpload } from "@/app/_parts/useUpload";
import { keepersImported } from "@/wording/advice/experience";

/** Reads a file of other keepers' experience in. */
export function AddExperience() {
  const { going, result, send } = useUpload("/ledger/taught/experience", "application/json");
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const { files } = event.currentTarget.elements.namedItem("experience") as HTMLInputElement;
    void send(() => textOf(files?.[0]));
  };
  return (
    <Form onSubmit={submit}>
      <Form.Group controlId="experience" className="mb-2">
        <Form.Label className="fw-semibold mb-1">Experience file</Form.Label>
        <Form.Control name="experience" type="file" accept=".json,application/json" required />
      </Form.Group>
      <Button type="submit" variant="outline-primary" disabled={going}>
        {going ? "Importing …" : "Import"}
      </Button>
      <TableOutcome result={result}>{({ keepers }) => keepersImported(Number(keepers))}</TableOutcome>
    </Form>
  );
}

/** Forgets all of it: judgements begin without it again. */
export function ForgetExperience() {
  const { press, trouble, going } = usePress(forgetExperienceAction);
  return (
    <>
      {trouble && <Alert variant="danger">{trouble}</Alert>}
      <Button variant="outline-primary" disabled={going} onClick={() => void press({})}>
        {going ? "Saving …" : "Forget other keepers' experience"}
      </Button>
    </>
  );
}
