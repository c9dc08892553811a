import { inUse } from "@/core/knowledge/household/bottles";
import type { Case } from "@/core/record/cases/cases";
import { coursesOn } from "@/core/advice/plans/coursesOnRecord";
import type { PlantRecord } from "@/core/record/cases/record";
import { planInForce, type Plan } from "@/core/advice/plans/plans";
import { standing, type Photo, type Skip, type TrapCount } from "@/core/record/facts/facts";
import type { Plant } from "@/core/record/facts/descriptions";
import { idIn } from "@/core/shared/fields";
import type { TreatmentCourses } from "@/core/advice/planning/treatmentCourse";
import { sensitivitiesOf } from "@/core/knowledge/plants/care";
import type { OnPlant } from "@/core/advice/plans/onPlant";
import { arrivalSteps, type ArrivalSteps } from "@/core/advice/arrivals/steps";
import { isArriving } from "@/core/schedule/programmes/arrival";
import type { PlantCarries } from "@/core/advice/spread/carries";
import { inParallel } from "@/db/query";
import * as carriage from "@/db/stores/plants/carriage";
import { riskOf } from "../risk";
import { verdictsOf } from "@/core/schedule/programmes/programmes";
import type { ProgrammeKindId, Verdict } from "@/core/schedule/programmes/programme";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import * as facts from "@/db/stores/record/facts";
import * as plants from "@/db/stores/plants/plants";
import { dayOf, scopeOf, today, type Context } from "../../shared/context";
import { onPlant } from "../onPlant";
import { warmed, type WarmPlace } from "../../places/placesAsTheyStand";
import { cardOf } from "../plantCard";
import { recordsOf } from "../plantRecords";

export interface PlantView {
  readonly plant: Plant;
  /** What makes it touchy, and where each comes from. */
  readonly sensitivities: ReturnType<typeof sensitivitiesOf>;
  readonly on: OnPlant;
  /** The plant it was cut from, and those that were cut from it. */
  readonly mother: Plant | null;
  readonly cuttings: readonly Plant[];
  readonly card: PlantCard;
  readonly place: WarmPlace;
  /** Where it stood before it was set apart, to go back to; null when it never stood anywhere else. */
  readonly before: WarmPlace | null;
  readonly places: readonly WarmPlace[];
  readonly record: PlantRecord;
  /** The open cases, each with its plan in force. */
  readonly open: readonly { readonly found: Case; readonly plan: Plan | null }[];
  /** How its programmes stand today. */
  readonly verdicts: Readonly<Record<ProgrammeKindId, Verdict>>;
  /** The courses of remedies that run on it. */
  readonly courses: TreatmentCourses;
  /** What it may carry unseen, and whether that is of today's facts; nothing while it has not been reckoned. */
  readonly carries: (PlantCarries & { readonly current: boolean }) | undefined;
  /** How far it is if it has come, bought or back from outside, and has not joined the others yet; null for others. */
  readonly arriving: ArrivalSteps | null;
  readonly skips: readonly Skip[];
  readonly photos: readonly Photo[];
  /** Larvae counted under slices on its mix. */
  readonly counts: readonly TrapCount[];
}

/** Everything on record about one plant, oldest first; null when there is no such plant. */
export async function readPlant(context: Context, asked: string): Promise<PlantView | null> {
  const id = idIn(asked);
  if (!id) return null;
  const scope = scopeOf(context, "read");
  const day = today(context);
  const [{ records, places: all, temperaturesOf }, [carried], risks, cuttings, skips, counts, photos] =
    await inParallel(
      scope,
      () => recordsOf(scope, [id]),
      () => carriage.of(scope, [id]),
      () => carriage.risks(scope, [id]),
      () => plants.cutFrom(scope, id),
      () => facts.of(scope, "skip", "plantId", [id]),
      () => facts.of(scope, "trapCount", "plantId", [id]),
      () => facts.of(scope, "photo", "plantId", [id]),
    );
  const record = records[0];
  if (!record) return null;
  const places = warmed(all, temperaturesOf, day);
  const byId = new Map(places.map((place) => [place.id, place]));
  const among = standing(record.placements).findLast(({ placeId }) => !record.apartAt(placeId));
  const card = cardOf(record.listed, day);
  const { plant, cases } = record;
  const risk = riskOf(context.collection, risks[0]);
  return {
    carries: carried && { ...carried.result, current: risk.current && carried.asOf === day },
    arriving: isArriving(record) ? arrivalSteps({ ...record, dayOf: (at) => dayOf(context, at) }) : null,
    plant,
    mother: plant.motherId ? ((await plants.many(scope, [plant.motherId]))[0] ?? null) : null,
    cuttings,
    sensitivities: sensitivitiesOf(plant),
    on: onPlant(context, record),
    card,
    place: byId.get(card.placeId)!,
    before: (among && byId.get(among.placeId)) ?? null,
    places,
    record,
    open: cases.filter((one) => one.open).map((found) => ({ found, plan: planInForce(found, cases, record) })),
    verdicts: verdictsOf(
      { record, lookEveryDays: context.collection.lookEveryDays, risk, petalsOf: () => card.petals },
      day,
    ),
    courses: coursesOn(record.acts, day, inUse(context.collection.bottles)),
    skips,
    counts,
    photos: standing(photos),
  };
}
