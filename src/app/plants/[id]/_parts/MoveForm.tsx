"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { movePlantAction } from "@/app/_parts/actions";
import { movePlant } from "@/core/facts/kinds/placement";
import { SelectField, SubmitRow } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { useDeed } from "@/ui/fields/useDeed";

interface Props {
  plantId: string;
  places: readonly { id: string; name: string }[];
  placeId: string;
  now: string;
}

export function MoveForm({ plantId, places, placeId, now }: Props) {
  const router = useRouter();
  const { form, submit, trouble } = useDeed({
    schema: movePlant,
    action: movePlantAction,
    defaults: () => ({ id: uuidv7(), plantId, placeId, at: now }),
    done: () => router.push(`/plants/${plantId}`),
  });
  return (
    <form onSubmit={submit} noValidate>
      <SelectField form={form} name="placeId" label="To" options={places.map((place) => [place.id, place.name])} />
      <MomentField form={form} name="at" label="When" />
      <SubmitRow form={form} trouble={trouble} label="Move it" />
    </form>
  );
}
