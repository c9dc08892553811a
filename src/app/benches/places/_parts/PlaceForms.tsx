"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { addPlaceAction, editPlaceAction } from "@/app/_parts/actions";
import { addPlace, editPlace } from "@/core/facts/deeds";
import { ChoiceField, SelectField, SubmitRow, TextField } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { placeKindNames } from "@/wording/names";

const TEMPERATURE_HINT = "Mean of day and night, °C. The pest's pace, and with it every date, is reckoned from it.";

export function AddPlaceForm({ rooms }: { rooms: readonly { id: string; name: string }[] }) {
  const router = useRouter();
  const { form, submit, trouble } = useDeed({
    schema: addPlace,
    action: addPlaceAction,
    defaults: () => ({ id: uuidv7(), name: "", kind: "shelf" as const, parentId: "", meanC: "" }),
    done: () => router.push("/benches"),
  });
  return (
    <form onSubmit={submit} noValidate>
      <TextField form={form} name="name" label="Name" />
      <ChoiceField
        form={form}
        name="kind"
        label="What it is"
        options={(["room", "shelf", "isolation"] as const).map((kind) => [kind, placeKindNames[kind]])}
      />
      <SelectField
        form={form}
        name="parentId"
        label="In which room"
        options={[["", "none"], ...rooms.map((room) => [room.id, room.name] as const)]}
      />
      <TextField form={form} name="meanC" label="Temperature" inputMode="decimal" hint={TEMPERATURE_HINT} />
      <SubmitRow form={form} trouble={trouble} label="Add the place" />
    </form>
  );
}

export function EditPlaceForm({ place }: { place: { id: string; name: string; meanC: number } }) {
  const router = useRouter();
  const { form, submit, trouble } = useDeed({
    schema: editPlace,
    action: editPlaceAction,
    defaults: () => ({ placeId: place.id, name: place.name, meanC: String(place.meanC) }),
    done: () => router.push("/benches"),
  });
  return (
    <form onSubmit={submit} noValidate>
      <TextField form={form} name="name" label="Name" />
      <TextField form={form} name="meanC" label="Temperature" inputMode="decimal" hint={TEMPERATURE_HINT} />
      <SubmitRow form={form} trouble={trouble} label="Save" />
    </form>
  );
}
