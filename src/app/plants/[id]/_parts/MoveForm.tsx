"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { movePlantAction } from "@/app/_parts/actions";
import { movePlant } from "@/core/facts/deeds";
import { SelectField, SubmitRow, TextField } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";

interface Props {
  plantId: string;
  places: readonly { id: string; name: string }[];
  placeId: string;
  nowLocal: string;
}

export function MoveForm({ plantId, places, placeId, nowLocal }: Props) {
  const router = useRouter();
  const { form, submit, trouble } = useDeed({
    schema: movePlant,
    action: movePlantAction,
    defaults: () => ({ id: uuidv7(), plantId, placeId, at: nowLocal }),
    done: () => router.push(`/plants/${plantId}`),
  });
  return (
    <form onSubmit={submit} noValidate>
      <SelectField form={form} name="placeId" label="To" options={places.map((place) => [place.id, place.name])} />
      <TextField form={form} name="at" label="When" type="datetime-local" />
      <SubmitRow form={form} trouble={trouble} label="Move it" />
    </form>
  );
}
