import { daysBetween, type Day } from "@/core/climate/days";
import { doseOf, type Plan, type PlanStep } from "@/core/facts/records";
import type { PlantCard } from "@/core/state/plantCard";
import type { MixId } from "@/core/mixing/mixes";
import { volumeFor } from "@/core/mixing/sprayVolume";
import type { PestId } from "@/core/pests/pests";
import type { TechniqueId } from "@/core/remedies/remedies";
import * as cases from "@/db/stores/cases";
import * as places from "@/db/stores/places";
import * as plans from "@/db/stores/plans";
import * as plantStates from "@/db/stores/plantStates";
import * as plants from "@/db/stores/plants";
import { scopeOf, today, type Context } from "./context";
import { cardOf } from "./readBenches";
import { refreshStale } from "./refreshStale";

/** One treatment that is due, as a line of a sitting. */
export interface DueTreatment {
  readonly plant: PlantCard;
  readonly caseId: string;
  readonly pest: PestId;
  readonly technique: TechniqueId;
  readonly step: PlanStep;
  readonly daysLate: number;
  readonly volumeMl: number;
}

/** All treatments of one mix that are due, with the volume to mix for them. */
export interface Sitting {
  readonly mix: MixId;
  readonly due: readonly DueTreatment[];
  readonly totalMl: number;
}

export interface TodayView {
  readonly day: Day;
  readonly sittings: readonly Sitting[];
  readonly looksDue: readonly PlantCard[];
  readonly looksDueCount: number;
  /** Infested and not yet set apart. */
  readonly loose: readonly PlantCard[];
  /** Under the bell jar. */
  readonly apart: readonly (PlantCard & { placeName: string })[];
  /** Open cases without a plan. */
  readonly unplanned: readonly { caseId: string; pest: PestId; plant: PlantCard }[];
  /** The next thing to do after today, if anything is planned. */
  readonly next: { readonly day: Day; readonly plant: PlantCard } | null;
}

const LOOKS_SHOWN = 30;

/** What needs the keeper on this day. */
export async function readToday(context: Context): Promise<TodayView> {
  const scope = scopeOf(context);
  const day = today(context);
  await refreshStale(context);
  const [open, dueList, looksDueCount, special, allPlaces] = await Promise.all([
    cases.open(scope),
    plantStates.lookDue(scope, day, LOOKS_SHOWN),
    plantStates.countLookDue(scope, day),
    plantStates.apartOrInfested(scope),
    places.all(scope),
  ]);
  const ids = open.map((c) => c.id);
  const plantIds = [...new Set(open.map((c) => c.plantId))];
  const [allPlans, inCases, described] = await Promise.all([
    plans.ofCases(scope, ids),
    plantStates.of(scope, plantIds),
    plants.many(scope, plantIds),
  ]);
  const cards = new Map(inCases.map((plant) => [plant.id, cardOf(context, plant)]));
  const potCm = new Map(described.map((plant) => [plant.id, plant.potCm]));
  const placeName = new Map(allPlaces.map((place) => [place.id, place.name]));

  const due: (DueTreatment & { mix: MixId })[] = [];
  const ahead: { day: Day; plant: PlantCard }[] = [];
  const unplanned: TodayView["unplanned"][number][] = [];
  for (const one of open) {
    const plant = cards.get(one.plantId);
    if (!plant) continue;
    const plan = plans.inForce(allPlans, one.id);
    if (!plan) {
      unplanned.push({ caseId: one.id, pest: one.pest, plant });
      continue;
    }
    const step = nextTreatment(plan);
    if (!step) continue;
    if (step.dueOn > day) ahead.push({ day: step.dueOn, plant });
    else {
      const { mix, technique } = doseOf(plan, step);
      const volumeMl = volumeFor(technique, potCm.get(one.plantId)!);
      const daysLate = daysBetween(step.dueOn, day);
      due.push({ plant, caseId: one.id, pest: one.pest, technique, step, daysLate, volumeMl, mix });
    }
  }
  return {
    day,
    sittings: gather(due),
    looksDue: dueList.map((plant) => cardOf(context, plant)),
    looksDueCount,
    loose: special.filter((p) => p.state === "infested" && !p.apart).map((plant) => cardOf(context, plant)),
    apart: special
      .filter((plant) => plant.apart)
      .map((plant) => ({ ...cardOf(context, plant), placeName: placeName.get(plant.placeId) ?? "" })),
    unplanned,
    next: ahead.toSorted((a, b) => a.day.localeCompare(b.day))[0] ?? null,
  };
}

/** The first treatment of a plan that has not been carried out, or null when all have. */
export function nextTreatment(plan: Plan): PlanStep | null {
  return plan.steps.find((step) => step.kind === "treat" && step.doneOn === null) ?? null;
}

function gather(due: readonly (DueTreatment & { mix: MixId })[]): Sitting[] {
  const byMix = new Map<MixId, DueTreatment[]>();
  for (const { mix, ...line } of due) byMix.set(mix, [...(byMix.get(mix) ?? []), line]);
  return [...byMix].map(([mix, lines]) => ({
    mix,
    due: lines.toSorted((a, b) => b.daysLate - a.daysLate || a.plant.code.localeCompare(b.plant.code)),
    totalMl: lines.reduce((sum, line) => sum + line.volumeMl, 0),
  }));
}
