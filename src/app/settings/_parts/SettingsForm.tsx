"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import { changeSettingsAction } from "@/app/_parts/actions";
import { changeSettings } from "@/core/facts/deeds";
import { belongings, type Settings } from "@/core/facts/settings";
import { householdIds } from "@/core/household/household";
import { productIds } from "@/core/household/products";
import { spoonSets } from "@/core/units/spoons";
import { ChecksField, ChoiceField, SelectField, SubmitRow, SwitchField, TextField } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { householdNames, productNames } from "@/wording/household";
import { belongingNames, hemisphereNames, spoonSetNames, unitNames } from "@/wording/settings";

const weekdays = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"].map(
  (name, i) => [String(i + 1), name] as const,
);

export function SettingsForm({ settings, zones }: { settings: Settings; zones: readonly string[] }) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, submit, trouble } = useDeed({
    schema: changeSettings,
    action: changeSettingsAction,
    defaults: () => ({
      ...settings,
      lookEveryDays: String(settings.lookEveryDays),
      alcoholPercent: String(settings.alcoholPercent),
      clearPercent: String(settings.clearPercent),
      everyDays: String(settings.everyDays),
      riskPercent: String(settings.riskPercent),
      workDays: settings.workDays.map(String),
    }),
    done: () => {
      setSaved(true);
      router.refresh();
    },
  });
  return (
    <form onSubmit={submit} onChange={() => setSaved(false)} noValidate>
      <TextField form={form} name="name" label="Name of the collection" />
      <TextField
        form={form}
        name="lookEveryDays"
        label="Look at every plant every so many days"
        inputMode="decimal"
        hint="Weekly is the norm. Plants in a case, at risk or new here are looked at weekly at least."
      />
      <ChoiceField
        form={form}
        name="units"
        label="Units"
        options={(["metric", "us"] as const).map((id) => [id, unitNames[id]])}
      />
      <SelectField
        form={form}
        name="spoons"
        label="Small amounts are measured with"
        options={spoonSets.map((id) => [id, spoonSetNames[id]])}
      />
      <TextField form={form} name="alcoholPercent" label="Your bottle of alcohol, %" inputMode="decimal" />
      <TextField
        form={form}
        name="clearPercent"
        label="Called clear from so many % on"
        inputMode="decimal"
        hint="90 to 99. Higher is surer and asks for more clean looks."
      />
      <TextField
        form={form}
        name="everyDays"
        label="Fewest days between two treatments"
        inputMode="decimal"
        hint="2 to 14: what you can keep up. No plan treats oftener; whoever begins too often stops too early."
      />
      <TextField
        form={form}
        name="riskPercent"
        label="At risk from so many % on"
        inputMode="decimal"
        hint="1 to 50: how likely a plant must be to carry something unseen before it is watched. With weekly looks most stay under 4."
      />
      <SwitchField
        form={form}
        name="stretchLooks"
        label="Look less often at plants that are unlikely to carry anything"
        hint="Twice your rhythm where the chance is under a fifth of that limit. Off, no plant waits longer than your rhythm."
      />
      <ChecksField form={form} name="workDays" label="Days on which you treat" options={weekdays} />
      <ChecksField
        form={form}
        name="owns"
        label="What you have to look with"
        options={belongings.map((id) => [id, belongingNames[id]])}
      />
      <ChecksField
        form={form}
        name="household"
        label="Who is around"
        hint="What harms them is kept out of every proposal."
        options={householdIds.map((id) => [id, householdNames[id]])}
      />
      <ChecksField
        form={form}
        name="notAllowed"
        label="What is not allowed where you live, or not wanted"
        options={productIds.map((id) => [id, productNames[id]])}
      />
      <TextField
        form={form}
        name="poisonCentre"
        label="Poison centre’s number"
        hint="It stands with the cautions wherever something is put on."
      />
      <ChoiceField
        form={form}
        name="hemisphere"
        label="Half of the earth"
        hint="Seasons change which pests are likely."
        options={(["north", "south"] as const).map((id) => [id, hemisphereNames[id]])}
      />
      <TextField form={form} name="timeZone" label="Time zone" list="zones" hint="A day is a day in this zone." />
      <datalist id="zones">
        {zones.map((zone) => (
          <option key={zone} value={zone} />
        ))}
      </datalist>
      {saved && <Alert variant="success">Saved.</Alert>}
      <SubmitRow form={form} trouble={trouble} label="Save" />
    </form>
  );
}
