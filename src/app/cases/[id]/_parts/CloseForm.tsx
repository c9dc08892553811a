"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { closeCaseAction } from "@/app/_parts/actions";
import { closeCase, outcomes, type OutcomeId } from "@/core/facts/deeds";
import { ChoiceField, NoteField, SubmitRow, TextField } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { outcomeNames } from "@/wording/names";

export function CloseForm({ caseId, met, nowLocal }: { caseId: string; met: boolean; nowLocal: string }) {
  const router = useRouter();
  const { form, submit, trouble } = useDeed({
    schema: closeCase,
    action: closeCaseAction,
    // What the rule does not support is not chosen beforehand.
    defaults: () => ({
      id: uuidv7(),
      caseId,
      outcome: (met ? "clear" : undefined) as OutcomeId,
      at: nowLocal,
      note: "",
    }),
    done: () => router.push(`/cases/${caseId}`),
  });
  return (
    <form onSubmit={submit} noValidate>
      <ChoiceField
        form={form}
        name="outcome"
        label="How it ended"
        options={outcomes.map((id) => [id, outcomeNames[id]])}
      />
      <TextField form={form} name="at" label="When" type="datetime-local" />
      <NoteField form={form} name="note" label="Note" />
      <SubmitRow form={form} trouble={trouble} label="Close the case" />
    </form>
  );
}
