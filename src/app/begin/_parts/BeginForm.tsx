"use client";

import { v7 as uuidv7 } from "uuid";
import type { z } from "zod";
import { beginCollectionAction } from "@/app/_parts/actions";
import { beginCollection } from "@/core/record/facts/commands";
import { belongings, type Belonging } from "@/core/record/facts/settings";
import { checks, choice, FieldList, text } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { SubmitRow } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { DEVICE_COOKIE, remember } from "@/ui/shell/cookies";
import { belongingNames, hemisphereNames, unitNames } from "@/wording/names/settings";
import { deviceField } from "./DeviceName";
import { guessHemisphere } from "./hemisphere";
import { show } from "./show";
import { QuantityField } from "@/ui/fields/QuantityField";
import { useWatch } from "react-hook-form";

/** The device is named beside the collection: it is this browser's and not the server's to keep. */
const onForm = beginCollection.extend({ device: deviceField });

/** A collection of the keeper's own: what cannot be guessed is asked, and nothing else. */
export function BeginForm({ zones, device }: { zones: readonly string[]; device: string }) {
  const { form, submit, trouble } = useCommand({
    schema: onForm,
    action: (none, input) => {
      remember(DEVICE_COOKIE, (input as z.input<typeof onForm>).device.trim());
      return beginCollectionAction(none, input);
    },
    defaults: () => ({
      id: uuidv7(),
      roomId: uuidv7(),
      shelfId: uuidv7(),
      readingId: uuidv7(),
      name: "",
      device,
      timeZone: zoneHere(),
      units: "metric" as const,
      hemisphere: guessHemisphere(zoneHere()),
      owns: [] as Belonging[],
      room: "Living room",
      shelf: "Windowsill",
      celsius: "",
    }),
    done: ({ id }) => show(String(id), "/plants/several"),
  });
  const units = useWatch({ control: form.control, name: "units" });
  return (
    <form onSubmit={submit} noValidate>
      <FieldList
        form={form}
        fields={[
          text("name", "Name of your collection"),
          text("device", "Name of this device", { hint: "It is shown next to what you record on it." }),
          checks(
            "owns",
            "What you look with",
            named(belongings, belongingNames),
            "Besides your eyes. A lamp and a loupe show what the eye misses.",
          ),
        ]}
      />
      <FieldList
        form={form}
        columns={["col-sm-6"]}
        fields={[text("room", "Your first room"), text("shelf", "A shelf in it", { hint: "Optional." })]}
      />
      <QuantityField
        form={form}
        name="celsius"
        of="warmth"
        units={units}
        label="About how warm it is there"
        hint="The average of day and night. How fast the pest develops, and so every date, depends on it."
      />
      <FieldList
        form={form}
        fields={[
          choice("units", "Units", named(["metric", "us"], unitNames)),
          text("timeZone", "Time zone", { list: "zones", hint: "Days begin and end in this zone." }),
          choice("hemisphere", "Hemisphere", named(["north", "south"], hemisphereNames), {
            hint: "The season changes which pests are likely.",
          }),
        ]}
      />
      <datalist id="zones">
        {zones.map((zone) => (
          <option key={zone} value={zone} />
        ))}
      </datalist>
      <SubmitRow form={form} trouble={trouble} label="Start" />
    </form>
  );
}

/** The zone this browser is in, UTC where its clock is set to none in particular. The server knows which there are. */
function zoneHere(): string {
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  return timeZone.includes("/") && !timeZone.startsWith("Etc/") ? timeZone : "UTC";
}
