"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { closeCaseAction } from "@/app/_parts/actions";
import { closeCase, outcomes, type OutcomeId } from "@/core/record/facts/kinds/closing";
import { ChoiceField, SubmitRow } from "@/ui/fields/fields";
import { TimeAndNote } from "@/ui/fields/TimeAndNote";
import { named } from "@/ui/fields/options";
import { useCommand } from "@/ui/fields/useCommand";
import { outcomeNames } from "@/wording/names/names";

export function CloseForm({ caseId, met, now }: { caseId: string; met: boolean; now: string }) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: closeCase,
    action: closeCaseAction,
    // What the rule does not support is not chosen beforehand.
    defaults: () => ({
      id: uuidv7(),
      caseId,
      outcome: (met ? "clear" : undefined) as OutcomeId,
      at: now,
      note: "",
    }),
    done: () => router.push(`/cases/${caseId}`),
  });
  return (
    <form onSubmit={submit} noValidate>
      <ChoiceField form={form} name="outcome" label="Outcome" options={named(outcomes, outcomeNames)} />
      <TimeAndNote form={form} />
      <SubmitRow form={form} trouble={trouble} label="Close the case" />
    </form>
  );
}
