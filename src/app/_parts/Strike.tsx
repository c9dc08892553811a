"use client";

import { useRouter } from "next/navigation";
import { voidFact } from "@/core/record/facts/commands";
import { SubmitRow, TextField } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import type { RecordEntry } from "@/ui/record/entries";
import { voidFactAction } from "./actions";

/** Strikes out an entry that is not true. It stays on record with the reason. */
export function Strike({ entry }: { entry: Pick<RecordEntry, "kind" | "id" | "what"> }) {
  return (
    <details>
      <summary className="small">
        Strike out <span className="visually-hidden">Strike out: {entry.what}</span>
      </summary>
      <StrikeForm kind={entry.kind} factId={entry.id} />
    </details>
  );
}

function StrikeForm({ kind, factId }: { kind: RecordEntry["kind"]; factId: string }) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: voidFact,
    action: voidFactAction,
    defaults: () => ({ kind, factId, reason: "" }),
    done: () => router.refresh(),
  });
  return (
    <form onSubmit={submit} noValidate>
      <TextField form={form} name="reason" label="Why it is wrong" hint="It stays on record, crossed out." />
      <SubmitRow form={form} trouble={trouble} label="Strike out" variant="outline-primary" />
    </form>
  );
}
