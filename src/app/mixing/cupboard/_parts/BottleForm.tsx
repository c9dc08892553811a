"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import { useWatch } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import { dropBottleAction, keepBottleAction } from "@/app/_parts/actions";
import { allowedIds, bottleUnits, dropBottle, keepBottle, type Bottle } from "@/core/household/bottles";
import { activeIds, groupOf, type ActiveId } from "@/core/household/products";
import { ChecksField, ChoiceField, SelectField, SubmitRow, TextField } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { allowedNames, activeNames, bottleUnitNames } from "@/wording/household";

const typed = (value: number | null) => (value === null ? "" : String(value));

/** What stands on a bottle, and what its label says; the label goes before every recipe and every interval here. */
export function BottleForm({ bottle }: { bottle?: Bottle }) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, submit, trouble } = useDeed({
    schema: keepBottle,
    action: keepBottleAction,
    defaults: () => ({
      id: bottle?.id ?? uuidv7(),
      name: bottle?.name ?? "",
      active: bottle?.active ?? ("soap" as ActiveId),
      percent: typed(bottle?.percent ?? null),
      unit: bottle?.unit ?? ("mL" as Bottle["unit"]),
      perLitre: typed(bottle?.perLitre ?? null),
      everyDays: typed(bottle?.everyDays ?? null),
      mostTimes: typed(bottle?.mostTimes ?? null),
      allowed: [...(bottle?.allowed ?? (["indoors", "outdoors"] as const))],
      size: typed(bottle?.size ?? null),
      openedOn: bottle?.openedOn ?? "",
      bestBefore: bottle?.bestBefore ?? "",
      emptiedOn: bottle?.emptiedOn ?? "",
      price: typed(bottle?.price ?? null),
    }),
    done: () => {
      if (!bottle) return router.push("/mixing/cupboard");
      setSaved(true);
      router.refresh();
    },
  });
  const [active, unit] = useWatch({ control: form.control, name: ["active", "unit"] });
  const group = groupOf(active);
  return (
    <form onSubmit={submit} onChange={() => setSaved(false)} noValidate>
      <div className="row gx-3">
        <div className="col-lg-6">
          <TextField form={form} name="name" label="What you call it" />
          <SelectField
            form={form}
            name="active"
            label="Active ingredient, from its label"
            hint={
              group
                ? `IRAC group ${group}: not more than twice running, then something of another group.`
                : "Pests are not known to become resistant to it."
            }
            options={activeIds.map((id) => [id, activeNames[id]])}
          />
          <ChoiceField
            form={form}
            name="unit"
            label="Measured in"
            options={bottleUnits.map((one) => [one, bottleUnitNames[one]])}
          />
          <TextField
            form={form}
            name="percent"
            label="Strength, %"
            inputMode="decimal"
            hint="Of the active ingredient. Empty where the label does not say."
          />
          <TextField form={form} name="size" label={`A full one holds, ${unit}`} inputMode="decimal" />
          <TextField form={form} name="price" label="What it cost, in your money" inputMode="decimal" />
        </div>
        <div className="col-lg-6">
          <TextField
            form={form}
            name="perLitre"
            label={`By the label, ${unit} in a litre of water`}
            inputMode="decimal"
            hint="Empty for what is used as it is, and where the label gives none."
          />
          <TextField form={form} name="everyDays" label="Not again before so many days" inputMode="decimal" />
          <TextField form={form} name="mostTimes" label="At most so often in a season" inputMode="decimal" />
          <ChecksField
            form={form}
            name="allowed"
            label="Where the label allows it"
            hint="What it does not allow is kept out of every proposal. Countries differ: your own label and law decide."
            options={allowedIds.map((id) => [id, allowedNames[id]])}
          />
          <TextField form={form} name="openedOn" label="Opened on" type="date" />
          <TextField form={form} name="bestBefore" label="Best before" type="date" />
          {bottle && <TextField form={form} name="emptiedOn" label="Empty, or thrown away, on" type="date" />}
        </div>
      </div>
      {saved && <Alert variant="success">Saved.</Alert>}
      <SubmitRow form={form} trouble={trouble} label={bottle ? "Save" : "Put it into the cupboard"} />
    </form>
  );
}

/** For one that was entered by mistake; what is empty is said to be empty instead, so that the record keeps its cost. */
export function DropBottle({ bottleId }: { bottleId: string }) {
  const router = useRouter();
  const { form, submit, trouble } = useDeed({
    schema: dropBottle,
    action: dropBottleAction,
    defaults: () => ({ bottleId }),
    done: () => router.push("/mixing/cupboard"),
  });
  return (
    <form onSubmit={submit} noValidate>
      <p className="mb-2">Was it entered by mistake? An empty one stays here with the day on which it was empty.</p>
      <SubmitRow form={form} trouble={trouble} label="Take it out of the record" variant="outline-primary" />
    </form>
  );
}
