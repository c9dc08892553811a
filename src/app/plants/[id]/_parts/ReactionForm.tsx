"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { recordReactionAction } from "@/app/_parts/actions";
import { recordReaction } from "@/core/record/facts/kinds/reaction";
import { mixIds, type MixId } from "@/core/knowledge/mixes/mixes";
import { techniqueIds, type TechniqueId } from "@/core/knowledge/remedies/remedies";
import { reactionIds } from "@/core/knowledge/remedies/reactions";
import { SubmitRow } from "@/ui/fields/fields";
import { choice, FieldList, select } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { TimeAndNote } from "@/ui/fields/TimeAndNote";
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
      <FieldList
        form={form}
        fields={[
          choice("what", "What you see", named(reactionIds, reactionNames)),
          select("mix", "After which spray", named(mixIds, mixNames)),
          select("technique", "How it was applied", named(techniqueIds, techniqueNames)),
        ]}
      />
      <TimeAndNote form={form} longAgo="longAgo" />
      <SubmitRow form={form} trouble={trouble} label="Save" />
    </form>
  );
}
