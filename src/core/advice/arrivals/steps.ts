import { touchesOf } from "../../acts/acts";
import type { PlantRecord } from "../../record/cases/record";
import { addDays, type Day } from "../../shared/days";
import { standing, type Look } from "../../record/facts/facts";
import { countedCleanLooks } from "../../model/inspection/cleanLooks";
import type { ToolId } from "../../model/inspection/tools";
import { spotsOf, type GrowthFormId } from "../../knowledge/plants/growthForms";
import { washingOf, type Washing } from "./washing";

/** How far a plant has come that has arrived and not joined the others yet. */
export interface ArrivalSteps {
  /** The day it came into the place where it stands apart. */
  readonly cameOn: Day;
  /** The day it was inspected at the door; null while it has not been. */
  readonly inspectedOn: Day | null;
  /** The day it was washed, and when it may be potted and watered again; null while it has not been. */
  readonly washedOn: Day | null;
  readonly potOn: Day | null;
  readonly waterOn: Day | null;
  readonly washing: Washing;
  /** Clean looks since it came that count. */
  readonly cleanLooks: number;
}

/** An inspection at the door takes in at least this share of the places above the roots, with more than the bare eye (HOUSE). */
const AT_THE_DOOR = 0.8;
const byEye: readonly ToolId[] = ["eye", "paper"];

/** Whether a look was one that a new plant needs: nearly every place, the pot among them, with a lamp at least, all round. */
function isDoorInspection(
  { tool, spots, turned }: Pick<Look, "tool" | "spots" | "turned">,
  form: GrowthFormId,
): boolean {
  const there = spotsOf(form).filter((spot) => spot !== "roots");
  const seen = there.filter((spot) => spots.includes(spot)).length;
  return turned && !byEye.includes(tool) && seen >= AT_THE_DOOR * there.length;
}

/** The steps of a plant that stands apart since it came. Throws RangeError for one that has stood nowhere. */
export function arrivalSteps({
  plant,
  stays,
  apartAt,
  inspections,
  acts,
  dayOf,
}: Pick<PlantRecord, "plant" | "stays" | "apartAt" | "inspections" | "acts"> & {
  /** The day of a moment where the collection stands. */
  readonly dayOf: (at: Date) => Day;
}): ArrivalSteps {
  const among = stays.findLastIndex(({ placeId }) => !apartAt(placeId));
  const came = stays[among + 1];
  if (!came) throw new RangeError(`${plant.code} does not stand apart`);
  const since = <T extends { readonly at: Date }>(all: readonly T[]) => all.filter(({ at }) => at >= came.from);
  const looked = since(standing(inspections));
  const inspected = looked.find((look) => isDoorInspection(look, plant.growthForm));
  const washed = since(standing(acts)).find(({ act }) => touchesOf(act).washed);
  const washing = washingOf[plant.growthForm];
  const after = (days: number) => (washed && days > 0 ? addDays(washed.day, days) : null);
  return {
    cameOn: dayOf(came.from),
    inspectedOn: inspected?.day ?? null,
    washedOn: washed?.day ?? null,
    potOn: after(washing.dryDays),
    waterOn: after(washing.firstWaterDays),
    washing,
    cleanLooks: countedCleanLooks(looked.filter((look) => look.finds.length === 0).map(({ day }) => day)),
  };
}
