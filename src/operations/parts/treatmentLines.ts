import { touchesOf, type Act } from "@/core/acts/acts";
import type { Day } from "@/core/climate/days";
import { workOf } from "@/core/acts/works";
import { coursesOn } from "@/core/case/course";
import { doseOf } from "@/core/case/plans";
import { warmthAt } from "@/core/case/warmth";
import { inUse, ownStrength } from "@/core/household/bottles";
import { standing } from "@/core/facts/facts";
import { usualTool } from "@/core/facts/settings";
import { mixes } from "@/core/mixing/mixes";
import { isWork, minutesOfDose } from "@/core/planning/doses";
import { labelObjections, type LabelObjection } from "@/core/planning/label";
import { spotsFor } from "@/core/remedies/remedies";
import type { Bearer } from "@/core/suitability/bearer";
import { walkOrder } from "@/core/walk/order";
import { scopeOf, today, type Context } from "../context";
import type { NextTreatment } from "./nextTreatments";
import { bearerOn } from "./onPlant";
import { recordsOf } from "./plantRecords";

/** One treatment with everything that is needed at the plant, so that the next one waits for nothing. */
export interface TreatmentLine extends NextTreatment {
  readonly placeName: string;
  readonly bearer: Bearer;
  /** What is written down when it goes as planned. */
  readonly act: Act;
  readonly minutes: number;
  /** What its label has against doing it today, with what is on record. */
  readonly label: readonly LabelObjection[];
  /** How warm it is where it stands, °C; null where nobody knows. */
  readonly celsius: number | null;
  /** The day on which something was last poured on its mix. */
  readonly soakedOn: Day | null;
}

/** Treatments as they are done, in the order that spreads least. Plants that are no longer there are left out. */
export async function treatmentLines(context: Context, treatments: readonly NextTreatment[]): Promise<TreatmentLine[]> {
  if (treatments.length === 0) return [];
  // Whoever may see what is due sees the plants that are, and no others.
  const scope = scopeOf({ ...context, role: "reader" }, "read");
  const { records, places, temperaturesOf } = await recordsOf(scope, [
    ...new Set(treatments.map(({ plant }) => plant.id)),
  ]);
  const day = today(context);
  const lines = treatments.flatMap((line): TreatmentLine[] => {
    const record = records.find(({ plant }) => plant.id === line.plant.id);
    if (!record) return [];
    const bearer = bearerOn(context, record, day);
    const dose = doseOf(line.planned);
    const courses = coursesOn(record.acts, day, inUse(context.collection.bottles));
    return [
      {
        ...line,
        bearer,
        placeName: places.find(({ id }) => id === line.plant.placeId)?.name ?? "",
        act: actOf(context, line, bearer),
        minutes: Math.round(minutesOfDose(dose, bearer)),
        label: labelObjections([{ day, dose }], courses),
        celsius: warmthAt(temperaturesOf, line.plant.placeId, day),
        soakedOn: standing(record.acts).findLast((one) => touchesOf(one.act).mix && one.day <= day)?.day ?? null,
      },
    ];
  });
  const order = walkOrder(
    lines.map(({ plant }) => plant),
    places.map(({ id }) => id),
  ).map(({ id }) => id);
  return lines.toSorted((a, b) => order.indexOf(a.plant.id) - order.indexOf(b.plant.id));
}

/** What a planned step comes to on a plant, with the keeper's own bottle, lamp and loupe. */
function actOf({ collection }: Context, { planned, volumeMl }: NextTreatment, bearer: Bearer): Act {
  if (isWork(planned)) return workOf(planned.work).act(bearer);
  const { mix, technique } = planned;
  const strength = ownStrength(collection.bottles, mixes[mix].remedy);
  return {
    ...{ kind: "contact", mix, technique, volumeMl, spots: spotsFor(technique, bearer.form) },
    ...(technique === "dab" && { tool: usualTool(collection.owns) }),
    ...(strength !== null && { strength }),
  };
}
