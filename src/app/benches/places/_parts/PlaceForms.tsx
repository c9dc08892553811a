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
import { choice, FieldList, number, quantity, select, text, yesOrNo } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { SubmitRow } from "@/ui/fields/fields";
import { MomentField } from "@/ui/fields/MomentField";
import { useCommand } from "@/ui/fields/useCommand";
import { placeKindNames, readingSourceNames } from "@/wording/names/names";
import { lightNames } from "@/wording/names/places";

const PACE = "How fast the pest develops, and so every date, depends on it.";

const NAME = text("name", "Name");
const ROOM_FOR = number("roomFor", "Room for how many pots", "How many pots; leave it empty if you do not count.");
const LIGHT = select("light", "Its light", [["", "not said"], ...named(lightIds, lightNames)]);
const HEIGHT = quantity(
  "heightCm",
  "width",
  "How high its board is",
  "Above the floor. Upper shelves are drawn above lower ones.",
);
const DOOR = yesOrNo(
  "doorShut",
  "Its door is kept shut",
  "Pests do not pass a shut door. This matters most for an isolation place.",
);

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
      <FieldList
        form={form}
        fields={[
          NAME,
          choice("kind", "What it is", named(added, placeKindNames)),
          standsIn[kind].length > 0 &&
            select("parentId", "Where it stands", [
              ["", standsAlone.includes(kind) ? "on its own" : "choose …"],
              ...around.map(({ id, name }) => [id, name] as const),
            ]),
          quantity(
            "celsius",
            "warmth",
            "About how warm",
            `The average of day and night. Leave it empty if it is as warm as what it stands in. ${PACE}`,
          ),
          ROOM_FOR,
          LIGHT,
          kind === "shelf" && HEIGHT,
          kind !== "tray" && kind !== "shelf" && DOOR,
        ]}
      />
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
      <FieldList
        form={form}
        fields={[
          NAME,
          ROOM_FOR,
          LIGHT,
          place.kind === "shelf" && HEIGHT,
          DOOR,
          select(
            "dripsOn",
            "Its water drips onto",
            [["", "nothing"], ...others.map(({ id, name }) => [id, name] as const)],
            {
              hint: "Root mealybugs travel with the water. Leave it empty if each pot has its own saucer.",
            },
          ),
        ]}
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
      <FieldList
        form={form}
        fields={[
          quantity("celsius", "warmth", "How warm", PACE),
          number("humidity", "How humid, %", "Leave it empty if you have no hygrometer."),
          choice("source", "What this is", named(readingSources, readingSourceNames)),
        ]}
      />
      <MomentField form={form} name="at" label="When" />
      <SubmitRow form={form} trouble={trouble} label="Save" />
    </form>
  );
}
