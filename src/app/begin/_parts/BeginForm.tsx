"use client";

import { v7 as uuidv7 } from "uuid";
import type { z } from "zod";
import { beginCollectionAction } from "@/app/_parts/actions";
import { beginCollection } from "@/core/facts/deeds";
import { belongings, type Belonging } from "@/core/facts/settings";
import { ChecksField, ChoiceField, SubmitRow, TextField } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { DEVICE_COOKIE, remember } from "@/ui/shell/cookies";
import { belongingNames, hemisphereNames, unitNames } from "@/wording/settings";
import { deviceField } from "./DeviceName";
import { guessHemisphere } from "./hemisphere";
import { show } from "./show";

/** The device is named beside the collection: it is this browser's and not the server's to keep. */
const onForm = beginCollection.extend({ device: deviceField });

/** A collection of the keeper's own: what cannot be guessed is asked, and nothing else. */
export function BeginForm({ zones, device }: { zones: readonly string[]; device: string }) {
  const { form, submit, trouble } = useDeed({
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
  return (
    <form onSubmit={submit} noValidate>
      <TextField form={form} name="name" label="What your collection is called" />
      <TextField
        form={form}
        name="device"
        label="What this device is called"
        hint="It stands beside what you write down on it."
      />
      <ChecksField
        form={form}
        name="owns"
        label="What you have to look with"
        hint="Beside your eyes. A lamp and a loupe see what the eye misses."
        options={belongings.map((id) => [id, belongingNames[id]])}
      />
      <div className="row">
        <div className="col-sm-6">
          <TextField form={form} name="room" label="A first room" />
        </div>
        <div className="col-sm-6">
          <TextField form={form} name="shelf" label="A shelf in it" hint="May stay empty." />
        </div>
      </div>
      <TextField
        form={form}
        name="celsius"
        label="About how warm it is there, °C"
        inputMode="decimal"
        hint="Mean of day and night. The pest's pace, and with it every date, is reckoned from it."
      />
      <ChoiceField
        form={form}
        name="units"
        label="Units"
        options={(["metric", "us"] as const).map((id) => [id, unitNames[id]])}
      />
      <TextField form={form} name="timeZone" label="Time zone" list="zones" hint="A day is a day in this zone." />
      <datalist id="zones">
        {zones.map((zone) => (
          <option key={zone} value={zone} />
        ))}
      </datalist>
      <ChoiceField
        form={form}
        name="hemisphere"
        label="Half of the earth"
        hint="Seasons change which pests are likely."
        options={(["north", "south"] as const).map((id) => [id, hemisphereNames[id]])}
      />
      <SubmitRow form={form} trouble={trouble} label="Begin" />
    </form>
  );
}

/** The zone this browser is in; nothing where its clock is set to none in particular. The server knows which there are. */
function zoneHere(): string {
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  return timeZone.includes("/") ? timeZone : "";
}
