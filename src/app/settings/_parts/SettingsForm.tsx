"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import { changeSettingsAction } from "@/app/_parts/actions";
import { changeSettings } from "@/core/record/facts/commands";
import { belongings, usualSpoons, type Settings } from "@/core/record/facts/settings";
import { householdIds } from "@/core/knowledge/household/household";
import { productIds } from "@/core/knowledge/household/products";
import { numbersIds } from "@/core/model/learning/reach";
import { spoonSets } from "@/core/units/spoons";
import { ChecksField, ChoiceField, SelectField, SubmitRow, SwitchField, TextField } from "@/ui/fields/fields";
import { Panel } from "@/ui/Panel";
import { PhoneFold } from "@/ui/PhoneFold";
import { useCommand } from "@/ui/fields/useCommand";
import { householdNames, productNames } from "@/wording/names/household";
import { belongingNames, hemisphereNames, spoonSetNames, unitNames, numbersNames } from "@/wording/names/settings";

const weekdays = ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"].map(
  (name, i) => [String(i + 1), name] as const,
);

export function SettingsForm({ settings, zones }: { settings: Settings; zones: readonly string[] }) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, submit, trouble } = useCommand({
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
      <div className="row gx-3">
        <div className="col-lg-6">
          <Panel title="Looking">
            <TextField
              form={form}
              name="lookEveryDays"
              label="Look at every plant every … days"
              inputMode="decimal"
              hint="Weekly is usual. Plants in a case, at risk or new here are looked at at least weekly."
            />
            <ChecksField
              form={form}
              name="owns"
              label="What you look with"
              options={belongings.map((id) => [id, belongingNames[id]])}
            />
            <TextField
              form={form}
              name="riskPercent"
              label="Call a plant at risk at … %"
              inputMode="decimal"
              hint="1 to 50: how likely a plant must be to carry something unseen before it is watched. With weekly looks most stay below 4."
            />
            <SwitchField
              form={form}
              name="stretchLooks"
              label="Look less often at plants that are unlikely to carry anything"
              hint="Half as often where the chance is under a fifth of that limit. If off, every plant keeps your rhythm."
            />
          </Panel>
          <Panel title="The collection">
            <TextField form={form} name="name" label="Name of the collection" />
            <ChoiceField
              form={form}
              name="units"
              label="Units"
              options={(["metric", "us"] as const).map((id) => [id, unitNames[id]])}
              onChoose={(units) => {
                // Whoever uses a syringe keeps to it; spoons are those of the units.
                if (form.getValues("spoons") !== "syringe")
                  form.setValue("spoons", usualSpoons[units as Settings["units"]]);
              }}
            />
            <SelectField
              form={form}
              name="spoons"
              label="Small amounts measured with"
              options={spoonSets.map((id) => [id, spoonSetNames[id]])}
            />
            <ChoiceField
              form={form}
              name="hemisphere"
              label="Hemisphere"
              hint="The season changes which pests are likely."
              options={(["north", "south"] as const).map((id) => [id, hemisphereNames[id]])}
            />
            <TextField
              form={form}
              name="timeZone"
              label="Time zone"
              list="zones"
              hint="Days begin and end in this zone."
            />
            <datalist id="zones">
              {zones.map((zone) => (
                <option key={zone} value={zone} />
              ))}
            </datalist>
          </Panel>
        </div>
        <div className="col-lg-6">
          <Panel title="Treating">
            <TextField
              form={form}
              name="everyDays"
              label="Days between treatments, at least"
              inputMode="decimal"
              hint="2 to 14: choose what you can keep up. No plan treats more often; starting too often makes people stop too early."
            />
            <ChecksField form={form} name="workDays" label="Days you treat on" options={weekdays} />
            <TextField form={form} name="alcoholPercent" label="Your bottle of alcohol, %" inputMode="decimal" />
          </Panel>
          <Panel title="When it is over">
            <TextField
              form={form}
              name="clearPercent"
              label="Call clear at … %"
              inputMode="decimal"
              hint="90 to 99. Higher is surer and needs more clean looks."
            />
            <SelectField
              form={form}
              name="numbers"
              label="New cases start from"
              options={numbersIds.map((id) => [id, numbersNames[id]])}
              hint="How much your treatments usually miss. The ledger shows what your record says."
            />
          </Panel>
          <Panel title="The household">
            <ChecksField
              form={form}
              name="household"
              label="Who else lives here"
              hint="What harms them is never suggested."
              options={householdIds.map((id) => [id, householdNames[id]])}
            />
            <TextField
              form={form}
              name="poisonCentre"
              label="Poison centre’s number"
              hint="It is shown with the cautions wherever you treat."
            />
            <PhoneFold summary="Not allowed where you live, or not wanted">
              <ChecksField
                form={form}
                name="notAllowed"
                label="Not allowed where you live, or not wanted"
                options={productIds.map((id) => [id, productNames[id]])}
              />
            </PhoneFold>
          </Panel>
        </div>
      </div>
      {saved && <Alert variant="success">Saved.</Alert>}
      <SubmitRow form={form} trouble={trouble} label="Save" />
    </form>
  );
}
