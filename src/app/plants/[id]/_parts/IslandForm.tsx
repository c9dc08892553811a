"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { moveSeveralAction } from "@/app/_parts/actions";
import { moveSeveral } from "@/core/record/facts/commands";
import { SelectField, SubmitRow } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { useCommand } from "@/ui/fields/useCommand";

/** The others move away from a plant that is too big to: each with its place, all with one press. */
export function IslandForm({
  others,
  places,
  now,
  plantId,
}: {
  others: readonly { readonly plantId: string; readonly placeId: string | null; readonly label: string }[];
  places: readonly { readonly id: string; readonly name: string }[];
  now: string;
  plantId: string;
}) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: moveSeveral,
    action: moveSeveralAction,
    defaults: () => ({
      moves: others.map(({ plantId: other, placeId }) => ({
        id: uuidv7(),
        plantId: other,
        placeId: placeId ?? places[0]?.id ?? "",
      })),
      at: now,
    }),
    done: () => router.push(`/plants/${plantId}`),
  });
  return (
    <form onSubmit={submit} noValidate>
      {others.map(({ plantId: other, label }, i) => (
        <SelectField
          key={other}
          form={form}
          name={`moves.${i}.placeId`}
          label={`${label} to`}
          options={places.map(({ id, name }) => [id, name])}
        />
      ))}
      <MomentField form={form} name="at" label="When" />
      <SubmitRow
        form={form}
        trouble={trouble}
        label={others.length === 1 ? "Move it" : `Move all ${others.length}`}
        variant="outline-primary"
      />
    </form>
  );
}
