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
import { checks, choice, FieldList, number, select, text, yesOrNo } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { SubmitRow } from "@/ui/fields/fields";
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
  // Whoever uses a syringe keeps to it; spoons are those of the units.
  const changeUnits = (units: string) => {
    if (form.getValues("spoons") !== "syringe") form.setValue("spoons", usualSpoons[units as Settings["units"]]);
  };
  return (
    <form onSubmit={submit} onChange={() => setSaved(false)} noValidate>
      <div className="row gx-3">
        <div className="col-lg-6">
          <Panel title="Looking">
            <FieldList
              form={form}
              fields={[
                number(
                  "lookEveryDays",
                  "Look at every plant every … days",
                  "Weekly is usual. Plants in a case, at risk or new here are looked at at least weekly.",
                ),
                checks("owns", "What you look with", named(belongings, belongingNames)),
                number(
                  "riskPercent",
                  "Call a plant at risk at … %",
                  "1 to 50: how likely a plant must be to carry something unseen before it is watched. With weekly looks most stay below 4.",
                ),
                yesOrNo(
                  "stretchLooks",
                  "Look less often at plants that are unlikely to carry anything",
                  "Half as often where the chance is under a fifth of that limit. If off, every plant keeps your rhythm.",
                ),
              ]}
            />
          </Panel>
          <Panel title="The collection">
            <FieldList
              form={form}
              fields={[
                text("name", "Name of the collection"),
                choice("units", "Units", named(["metric", "us"], unitNames), { onChoose: changeUnits }),
                select("spoons", "Small amounts measured with", named(spoonSets, spoonSetNames)),
                choice("hemisphere", "Hemisphere", named(["north", "south"], hemisphereNames), {
                  hint: "The season changes which pests are likely.",
                }),
                text("timeZone", "Time zone", { list: "zones", hint: "Days begin and end in this zone." }),
              ]}
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
            <FieldList
              form={form}
              fields={[
                number(
                  "everyDays",
                  "Days between treatments, at least",
                  "2 to 14: choose what you can keep up. No plan treats more often; starting too often makes people stop too early.",
                ),
                checks("workDays", "Days you treat on", weekdays),
                number("alcoholPercent", "Your bottle of alcohol, %"),
              ]}
            />
          </Panel>
          <Panel title="When it is over">
            <FieldList
              form={form}
              fields={[
                number("clearPercent", "Call clear at … %", "90 to 99. Higher is surer and needs more clean looks."),
                select("numbers", "New cases start from", named(numbersIds, numbersNames), {
                  hint: "How much your treatments usually miss. The ledger shows what your record says.",
                }),
              ]}
            />
          </Panel>
          <Panel title="The household">
            <FieldList
              form={form}
              fields={[
                checks(
                  "household",
                  "Who else lives here",
                  named(householdIds, householdNames),
                  "What harms them is never suggested.",
                ),
                text("poisonCentre", "Poison centre’s number", {
                  hint: "It is shown with the cautions wherever you treat.",
                }),
              ]}
            />
            <PhoneFold summary="Not allowed where you live, or not wanted">
              <FieldList
                form={form}
                fields={[
                  checks("notAllowed", "Not allowed where you live, or not wanted", named(productIds, productNames)),
                ]}
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
