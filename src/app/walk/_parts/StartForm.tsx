"use client";

import { useRouter } from "next/navigation";
import { useWatch } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import { startWalkAction } from "@/app/_parts/actions";
import { startWalk, type WalkScope } from "@/core/record/facts/commands";
import { toolIds, type ToolId } from "@/core/model/inspection/tools";
import { rounds, type Round } from "@/core/model/inspection/rounds";
import { ChoiceField, SelectField, SubmitRow } from "@/ui/fields/fields";
import { named } from "@/ui/fields/options";
import { useCommand } from "@/ui/fields/useCommand";
import { toolNames } from "@/wording/names/names";
import { roundNames, walkScopeNames } from "@/wording/names/walks";

/** Nobody unpots on a round. */
const tools = toolIds.filter((tool) => tool !== "unpotted");

export function StartForm({
  counts,
  tool,
  places,
}: {
  counts: Readonly<Record<Exclude<WalkScope, "place" | "chosen">, number>>;
  /** What is looked with unless the keeper says otherwise. */
  tool: ToolId;
  places: readonly { id: string; name: string; plants: number }[];
}) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: startWalk,
    action: startWalkAction,
    defaults: () => ({
      id: uuidv7(),
      scope: (counts.due > 0 ? "due" : "everything") as WalkScope,
      placeId: places[0]?.id ?? "",
      tool,
      round: "likely" as Round,
    }),
    done: ({ id }) => router.push(`/walk/${id}`),
  });
  const { scope, round } = useWatch({ control: form.control });
  const scopes = (["due", "place", "everything", "arrivals"] as const).filter(
    (one) => one === "place" || one === "everything" || counts[one] > 0,
  );
  return (
    <form onSubmit={submit} noValidate>
      <ChoiceField
        form={form}
        name="scope"
        label="What"
        options={scopes.map((one) => [
          one,
          one === "place" ? walkScopeNames.place : `${walkScopeNames[one]}: ${counts[one]}`,
        ])}
      />
      {scope === "place" && (
        <SelectField
          form={form}
          name="placeId"
          label="Which place"
          options={places.map(({ id, name, plants }) => [id, `${name}: ${plants}`])}
        />
      )}
      <ChoiceField form={form} name="tool" label="How you looked" options={named(tools, toolNames)} />
      <ChoiceField
        form={form}
        name="round"
        label="How thoroughly"
        hint={roundNames[round ?? "likely"].what}
        options={rounds.map((id) => [id, roundNames[id].name])}
      />
      <SubmitRow form={form} trouble={trouble} label="Start" />
    </form>
  );
}
