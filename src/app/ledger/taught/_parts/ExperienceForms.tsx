"use client";

import { useRouter } from "next/navigation";
import { type FormEvent } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { forgetExperienceAction } from "@/app/_parts/actions";
import { TableOutcome, textOf } from "@/app/_parts/TableOutcome";
import { useUpload } from "@/app/_parts/useUpload";
import { forgetExperience } from "@/core/record/facts/commands";
import { SubmitRow } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { keepersReadIn } from "@/wording/advice/learning";

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
      <TableOutcome result={result}>{({ keepers }) => keepersReadIn(Number(keepers))}</TableOutcome>
    </Form>
  );
}

/** Forgets all of it: judgements begin without it again. */
export function ForgetExperience() {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: forgetExperience,
    action: forgetExperienceAction,
    defaults: () => ({}),
    done: () => router.refresh(),
  });
  return (
    <form onSubmit={submit} noValidate>
      <SubmitRow form={form} trouble={trouble} label="Forget other keepers' experience" variant="outline-primary" />
    </form>
  );
}
