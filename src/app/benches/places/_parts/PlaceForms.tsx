"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import Alert from "react-bootstrap/Alert";
import { useWatch } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import { addPlaceAction, editPlaceAction, takeReadingAction } from "@/app/_parts/actions";
import {
  addPlace,
  editPlace,
  lightIds,
  standsAlone,
  standsIn,
  type LightId,
  type PlaceKind,
} from "@/core/record/facts/commands";
import type { Place } from "@/core/record/facts/descriptions";
import { readingSources, takeReading, type ReadingSource } from "@/core/record/facts/kinds/reading";
import { ChoiceField, SelectField, SubmitRow, SwitchField, TextField } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { useCommand } from "@/ui/fields/useCommand";
import { placeKindNames, readingSourceNames } from "@/wording/names/names";
import { QuantityField } from "@/ui/fields/QuantityField";
import { lightNames } from "@/wording/names/places";

const PACE = "How fast the pest develops, and so every date, depends on it.";

const ROOM_FOR = "How many pots; leave it empty if you do not count.";
const DOOR = "Pests do not pass a shut door. This matters most for an isolation place.";
const DRIPS = "Root mealybugs travel with the water. Leave it empty if each pot has its own saucer.";

const HEIGHT = "Above the floor. Upper shelves are drawn above lower ones.";
const LIGHTS = [["", "not said"], ...lightIds.map((id) => [id, lightNames[id]] as const)] as const;

const added = ["room", "shelf", "isolation", "tray", "cabinet", "outdoors"] as const;

export function AddPlaceForm({ places }: { places: readonly { id: string; name: string; kind: PlaceKind }[] }) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: addPlace,
    action: addPlaceAction,
    defaults: () => ({
      id: uuidv7(),
      readingId: uuidv7(),
      name: "",
      kind: "shelf" as (typeof added)[number],
      parentId: "",
      celsius: "",
      roomFor: "",
      doorShut: false,
      dripsOn: "",
      light: "" as LightId | "",
      heightCm: "",
    }),
    done: () => router.push("/benches"),
  });
  const kind = useWatch({ control: form.control, name: "kind" });
  const { setValue, formState } = form;
  const said = formState.dirtyFields.doorShut === true;
  // An isolation place is one because its door is shut, unless its keeper says otherwise.
  useEffect(() => {
    if (!said) setValue("doorShut", kind === "isolation");
  }, [kind, said, setValue]);
  const around = places.filter((place) => standsIn[kind].includes(place.kind));
  return (
    <form onSubmit={submit} noValidate>
      <TextField form={form} name="name" label="Name" />
      <ChoiceField
        form={form}
        name="kind"
        label="What it is"
        options={added.map((one) => [one, placeKindNames[one]])}
      />
      {standsIn[kind].length > 0 && (
        <SelectField
          form={form}
          name="parentId"
          label="Where it stands"
          options={[
            ...(standsAlone.includes(kind) ? [["", "on its own"] as const] : [["", "choose …"] as const]),
            ...around.map((place) => [place.id, place.name] as const),
          ]}
        />
      )}
      <QuantityField
        form={form}
        name="celsius"
        of="warmth"
        label="About how warm"
        hint={`The average of day and night. Leave it empty if it is as warm as what it stands in. ${PACE}`}
      />
      <TextField form={form} name="roomFor" label="Room for how many pots" inputMode="decimal" hint={ROOM_FOR} />
      <SelectField form={form} name="light" label="Its light" options={LIGHTS} />
      {kind === "shelf" && (
        <QuantityField form={form} name="heightCm" of="width" label="How high its board is" hint={HEIGHT} />
      )}
      {kind !== "tray" && kind !== "shelf" && (
        <SwitchField form={form} name="doorShut" label="Its door is kept shut" hint={DOOR} />
      )}
      <SubmitRow form={form} trouble={trouble} label="Add the place" />
    </form>
  );
}

export function EditPlaceForm({
  place,
  others,
}: {
  place: Pick<Place, "id" | "name" | "kind" | "roomFor" | "doorShut" | "dripsOn" | "light" | "heightCm">;
  /** Onto which its water may drip. */
  others: readonly { id: string; name: string }[];
}) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, submit, trouble } = useCommand({
    schema: editPlace,
    action: editPlaceAction,
    defaults: () => ({
      placeId: place.id,
      name: place.name,
      roomFor: place.roomFor === null ? "" : String(place.roomFor),
      doorShut: place.doorShut,
      dripsOn: place.dripsOn ?? "",
      light: place.light ?? ("" as const),
      heightCm: place.heightCm === null ? "" : String(place.heightCm),
    }),
    done: () => {
      setSaved(true);
      router.refresh();
    },
  });
  return (
    <form onSubmit={submit} onChange={() => setSaved(false)} noValidate>
      <TextField form={form} name="name" label="Name" />
      <TextField form={form} name="roomFor" label="Room for how many pots" inputMode="decimal" hint={ROOM_FOR} />
      <SelectField form={form} name="light" label="Its light" options={LIGHTS} />
      {place.kind === "shelf" && (
        <QuantityField form={form} name="heightCm" of="width" label="How high its board is" hint={HEIGHT} />
      )}
      <SwitchField form={form} name="doorShut" label="Its door is kept shut" hint={DOOR} />
      <SelectField
        form={form}
        name="dripsOn"
        label="Its water drips onto"
        hint={DRIPS}
        options={[["", "nothing"], ...others.map((one) => [one.id, one.name] as const)]}
      />
      {saved && <Alert variant="success">Saved.</Alert>}
      <SubmitRow form={form} trouble={trouble} label="Save" variant="outline-primary" />
    </form>
  );
}

/** How warm it is at a place. What was written down before stays: the past was as warm as it was. */
export function ReadingForm({ placeId, now }: { placeId: string; now: string }) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: takeReading,
    action: takeReadingAction,
    defaults: () => ({ id: uuidv7(), placeId, celsius: "", humidity: "", source: "about" as ReadingSource, at: now }),
    done: () => {
      form.setValue("id", uuidv7());
      form.setValue("celsius", "");
      form.setValue("humidity", "");
      router.refresh();
    },
  });
  return (
    <form onSubmit={submit} noValidate>
      <QuantityField form={form} name="celsius" of="warmth" label="How warm" hint={PACE} />
      <TextField
        form={form}
        name="humidity"
        label="How humid, %"
        inputMode="decimal"
        hint="Leave it empty if you have no hygrometer."
      />
      <ChoiceField
        form={form}
        name="source"
        label="What this is"
        options={readingSources.map((source) => [source, readingSourceNames[source]])}
      />
      <MomentField form={form} name="at" label="When" />
      <SubmitRow form={form} trouble={trouble} label="Save" />
    </form>
  );
}
