"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import { useWatch } from "react-hook-form";
import { v7 as uuidv7 } from "uuid";
import { dropBottleAction, keepBottleAction } from "@/app/_parts/actions";
import { allowedIds, bottleUnits, dropBottle, keepBottle, type Bottle } from "@/core/knowledge/household/bottles";
import { activeIds, groupOf, type ActiveId } from "@/core/knowledge/household/products";
import { checks, choice, date, FieldList, number, quantity, select, text } from "@/ui/fields/FieldList";
import { named } from "@/ui/fields/options";
import { SubmitRow } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { allowedNames, activeNames, bottleUnitNames } from "@/wording/names/household";

const typed = (value: number | null) => (value === null ? "" : String(value));

const NO_RATE = "Leave it empty if it is used undiluted or the label gives no rate.";

/** What stands on a bottle, and what its label says; the label goes before every recipe and every interval here. */
export function BottleForm({ bottle }: { bottle?: Bottle }) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, submit, trouble } = useCommand({
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
          <FieldList
            form={form}
            fields={[
              text("name", "Name"),
              select("active", "Active ingredient, from the label", named(activeIds, activeNames), {
                hint: group
                  ? `IRAC group ${group}: no more than twice in a row, then something from another group.`
                  : "No resistance to it is known.",
              }),
              choice("unit", "Measured in", named(bottleUnits, bottleUnitNames)),
              number("percent", "Strength, %", "Of the active ingredient. Leave it empty if the label gives none."),
              unit === "mL" ? quantity("size", "volume", "Bottle size") : number("size", `Bottle size, ${unit}`),
              number("price", "Cost"),
            ]}
          />
        </div>
        <div className="col-lg-6">
          <FieldList
            form={form}
            fields={[
              unit === "mL"
                ? quantity("perLitre", "rate", "Label rate", NO_RATE)
                : number("perLitre", `By the label, ${unit} per litre of water`, NO_RATE),
              number("everyDays", "Days between applications, at least"),
              number("mostTimes", "Applications per season, at most"),
              checks(
                "allowed",
                "Where the label allows it",
                named(allowedIds, allowedNames),
                "It is never suggested where the label does not allow it. Countries differ: your own label and law decide.",
              ),
              date("openedOn", "Opened on"),
              date("bestBefore", "Best before"),
              bottle !== undefined && date("emptiedOn", "Finished or thrown away on"),
            ]}
          />
        </div>
      </div>
      {saved && <Alert variant="success">Saved.</Alert>}
      <SubmitRow form={form} trouble={trouble} label={bottle ? "Save" : "Add it to the cupboard"} />
    </form>
  );
}

/** For one that was entered by mistake; what is empty is said to be empty instead, so that the record keeps its cost. */
export function DropBottle({ bottleId }: { bottleId: string }) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
    schema: dropBottle,
    action: dropBottleAction,
    defaults: () => ({ bottleId }),
    done: () => router.push("/mixing/cupboard"),
  });
  return (
    <form onSubmit={submit} noValidate>
      <p className="mb-2">
        Only for a bottle entered by mistake. A finished one stays here with the date it was finished.
      </p>
      <SubmitRow form={form} trouble={trouble} label="Delete this bottle" variant="outline-primary" />
    </form>
  );
}
