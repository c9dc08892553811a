"use client";

import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { addPlaceAction, editPlaceAction, takeReadingAction } from "@/app/_parts/actions";
import { addPlace, editPlace } from "@/core/facts/deeds";
import { readingSources, takeReading, type ReadingSource } from "@/core/facts/kinds/reading";
import { ChoiceField, SelectField, SubmitRow, TextField } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { useDeed } from "@/ui/fields/useDeed";
import { placeKindNames, readingSourceNames } from "@/wording/names";

const PACE = "The pest's pace, and with it every date, is reckoned from it.";

export function AddPlaceForm({ rooms }: { rooms: readonly { id: string; name: string }[] }) {
  const router = useRouter();
  const { form, submit, trouble } = useDeed({
    schema: addPlace,
    action: addPlaceAction,
    defaults: () => ({
      id: uuidv7(),
      readingId: uuidv7(),
      name: "",
      kind: "shelf" as const,
      parentId: "",
      celsius: "",
    }),
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
      <TextField
        form={form}
        name="celsius"
        label="About how warm, °C"
        inputMode="decimal"
        hint={`Mean of day and night. Leave it empty where it is as warm as in its room. ${PACE}`}
      />
      <SubmitRow form={form} trouble={trouble} label="Add the place" />
    </form>
  );
}

export function EditPlaceForm({ place }: { place: { id: string; name: string } }) {
  const router = useRouter();
  const { form, submit, trouble } = useDeed({
    schema: editPlace,
    action: editPlaceAction,
    defaults: () => ({ placeId: place.id, name: place.name }),
    done: () => router.refresh(),
  });
  return (
    <form onSubmit={submit} noValidate>
      <TextField form={form} name="name" label="Name" />
      <SubmitRow form={form} trouble={trouble} label="Save" variant="outline-primary" />
    </form>
  );
}

/** How warm it is at a place. What was written down before stays: the past was as warm as it was. */
export function ReadingForm({ placeId, now }: { placeId: string; now: string }) {
  const router = useRouter();
  const { form, submit, trouble } = useDeed({
    schema: takeReading,
    action: takeReadingAction,
    defaults: () => ({ id: uuidv7(), placeId, celsius: "", source: "about" as ReadingSource, at: now }),
    done: () => {
      form.setValue("id", uuidv7());
      form.setValue("celsius", "");
      router.refresh();
    },
  });
  return (
    <form onSubmit={submit} noValidate>
      <TextField form={form} name="celsius" label="How warm, °C" inputMode="decimal" hint={PACE} />
      <ChoiceField
        form={form}
        name="source"
        label="What this is"
        options={readingSources.map((source) => [source, readingSourceNames[source]])}
      />
      <MomentField form={form} name="at" label="When" />
      <SubmitRow form={form} trouble={trouble} label="Write it down" />
    </form>
  );
}
