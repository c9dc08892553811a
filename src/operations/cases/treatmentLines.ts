import { touchesOf, type Act } from "@/core/acts/acts";
import type { Day } from "@/core/shared/days";
import { workOf } from "@/core/acts/works";
import { coursesOn } from "@/core/advice/plans/coursesOnRecord";
import { doseOf } from "@/core/advice/plans/plans";
import { warmthAt } from "@/core/record/cases/warmth";
import { inUse, ownStrength } from "@/core/knowledge/household/bottles";
import { standing } from "@/core/record/facts/facts";
import { usualTool } from "@/core/record/facts/settings";
import { mixes } from "@/core/knowledge/mixes/mixes";
import { isWork } from "@/core/advice/planning/doses";
import { labelObjections, type LabelObjection } from "@/core/advice/labels/label";
import { minutesAt } from "@/core/advice/sessions/pace";
import { spotsFor } from "@/core/knowledge/remedies/remedies";
import type { TreatedPlant } from "@/core/advice/tolerance/treatedPlant";
import { walkOrder } from "@/core/advice/walks/order";
import { inParallel } from "@/db/query";
import { scopeOf, today, type Context } from "../shared/context";
import type { NextTreatment } from "./nextTreatments";
import { bearerOn } from "../plants/onPlant";
import { ownPaces } from "../sessions/ownPaces";
import { treatedRecords } from "../plants/treatedRecords";

/** One treatment with everything that is needed at the plant, so that the next one waits for nothing. */
export interface TreatmentLine extends NextTreatment {
  readonly placeName: string;
  readonly bearer: TreatedPlant;
  /** What is written down when it goes as planned. */
  readonly act: Act;
  /** Of hands: at the keepers' own pace, where that is known. */
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
  const plantIds = [...new Set(treatments.map(({ plant }) => plant.id))];
  const [{ records, places, temperaturesOf }, paces] = await inParallel(
    scope,
    () => treatedRecords(scope, plantIds),
    () => ownPaces(scope),
  );
  const day = today(context);
  const lines = treatments.flatMap((line): TreatmentLine[] => {
    const record = records.get(line.plant.id);
    if (!record) return [];
    const bearer = bearerOn(context, record, day);
    const dose = doseOf(line.planned);
    const act = actOf(context, line, bearer);
    const courses = coursesOn(record.acts, day, inUse(context.collection.bottles));
    return [
      {
        ...line,
        bearer,
        placeName: places.find(({ id }) => id === line.plant.placeId)?.name ?? "",
        act,
        minutes: Math.round(minutesAt(paces, act, bearer.potCm)),
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
function actOf({ collection }: Context, { planned, volumeMl }: NextTreatment, bearer: TreatedPlant): Act {
  if (isWork(planned)) return workOf(planned.work).act(bearer);
  const { mix, technique } = planned;
  const strength = ownStrength(collection.bottles, mixes[mix].remedy);
  return {
    ...{ kind: "contact", mix, technique, volumeMl, spots: spotsFor(technique, bearer.form) },
    ...(technique === "dab" && { tool: usualTool(collection.owns) }),
    ...(strength !== null && { strength }),
  };
}
