"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { recordReactionAction } from "@/app/_parts/actions";
import { recordReaction } from "@/core/record/facts/kinds/reaction";
import { mixIds, type MixId } from "@/core/knowledge/mixes/mixes";
import { techniqueIds, type TechniqueId } from "@/core/knowledge/remedies/remedies";
import { reactionIds } from "@/core/knowledge/remedies/reactions";
import { ChoiceField, NoteField, SelectField, SubmitRow } from "@/ui/fields/fields";
import { LongAgoField } from "@/ui/fields/LongAgoField";
import { MomentField } from "@/ui/fields/MomentField";
import { useCommand } from "@/ui/fields/useCommand";
import { mixNames, reactionNames, techniqueNames } from "@/wording/names/names";

interface Props {
  plantId: string;
  now: string;
  /** What it was last treated with. */
  mix: MixId;
  technique: TechniqueId;
}

export function ReactionForm({ plantId, now, mix, technique }: Props) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: recordReaction,
    action: recordReactionAction,
    defaults: () => ({ id: uuidv7(), plantId, mix, technique, what: "scorch" as const, at: now, note: "" }),
    done: () => {
      router.push(`/plants/${plantId}`);
      router.refresh();
    },
  });
  return (
    <form onSubmit={submit} noValidate>
      <ChoiceField
        form={form}
        name="what"
        label="What you see"
        options={reactionIds.map((id) => [id, reactionNames[id]])}
      />
      <SelectField form={form} name="mix" label="After which spray" options={mixIds.map((id) => [id, mixNames[id]])} />
      <SelectField
        form={form}
        name="technique"
        label="How it was applied"
        options={techniqueIds.map((id) => [id, techniqueNames[id]])}
      />
      <MomentField form={form} name="at" label="When" />
      <LongAgoField form={form} at="at" name="longAgo" />
      <NoteField form={form} name="note" label="Note" />
      <SubmitRow form={form} trouble={trouble} label="Save" />
    </form>
  );
}
