import type { WorkId } from "@/core/acts/works";
import { planInForce } from "@/core/case/plans";
import { daysBetween, type Day } from "@/core/climate/days";
import { groupBy } from "@/core/groupBy";
import type { MixId } from "@/core/mixing/mixes";
import { sittingVolume, volumeFor } from "@/core/mixing/sprayVolume";
import type { Plant } from "@/core/facts/descriptions";
import type { PlannedDose } from "@/core/facts/kinds/programme";
import type { PestId } from "@/core/pests/pests";
import { isWork, volumeOfDose } from "@/core/planning/doses";
import { riskNotAsked } from "@/core/programmes/programme";
import { dueOf } from "@/core/programmes/programmes";
import type { PlantCard } from "@/core/state/plantCard";
import { together } from "@/db/query";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, today, type Context } from "./context";
import { plantsInCase } from "./parts/openCases";
import { cardOf } from "./parts/plantCard";

/** One treatment that is due, as a line of a sitting. */
export interface DueTreatment {
  readonly plant: PlantCard;
  /** The case it is for, and its pest; null for what has no name. */
  readonly caseId: string | null;
  readonly pest: PestId | null;
  readonly stepId: string;
  readonly dueOn: Day;
  readonly planned: PlannedDose;
  readonly daysLate: number;
  /** Of a finished mix; 0 where nothing is mixed. */
  readonly volumeMl: number;
  readonly potCm: number;
}

/** All that is due of one mix or one work, with the volume to mix for it. */
export interface Sitting {
  readonly what: MixId | WorkId;
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
  /** The next thing to do after today, if anything falls due. */
  readonly next: { readonly what: "treat" | "look"; readonly day: Day; readonly plant: PlantCard } | null;
  /** How many plants there are at all. */
  readonly plants: number;
}

const LOOKS_SHOWN = 30;

/** What needs the keeper on this day. */
export async function readToday(context: Context): Promise<TodayView> {
  const scope = scopeOf(context, "see");
  const day = today(context);
  const { lookEveryDays } = context.collection;
  const [looksDue, counts, special, nextLook, allPlaces, inCase] = await together(
    scope,
    () => plantStates.lookDue(scope, day, LOOKS_SHOWN),
    () => plantStates.count(scope, day),
    () => plantStates.apartOrInfested(scope),
    () => plantStates.nextLookAfter(scope, day),
    () => places.all(scope),
    () => plantsInCase(scope),
  );
  const placeName = new Map(allPlaces.map((place) => [place.id, place.name]));

  const due: DueTreatment[] = [];
  const ahead: NonNullable<TodayView["next"]>[] = nextLook
    ? [{ what: "look", day: nextLook.lookDueOn as Day, plant: cardOf(nextLook, day) }]
    : [];
  const unplanned: TodayView["unplanned"][number][] = [];
  for (const { listed, record } of inCase) {
    const plant = cardOf(listed, day);
    const all = dueOf({ record, lookEveryDays, risk: riskNotAsked, petalsOf: () => listed.petals }, day);
    const open = record.cases.filter((one) => one.open);
    for (const found of open)
      if (!planInForce(found, record.cases, record)) unplanned.push({ caseId: found.id, pest: found.pest, plant });
    for (const found of [...open, null]) {
      const caseId = found?.id ?? null;
      const next = all.find((one) => one.what === "treat" && one.caseId === caseId);
      if (!next?.dose || !next.stepId) continue;
      if (next.on > day) ahead.push({ what: "treat", day: next.on, plant });
      else
        due.push({
          plant,
          caseId,
          pest: found?.pest ?? null,
          ...dueStep(next.dose, record.plant),
          stepId: next.stepId,
          dueOn: next.on,
          daysLate: daysBetween(next.on, day),
        });
    }
  }
  return {
    day,
    sittings: gather(due),
    looksDue: looksDue.map((plant) => cardOf(plant, day)),
    looksDueCount: counts.due,
    loose: special.filter((p) => p.state === "infested" && !p.apart).map((plant) => cardOf(plant, day)),
    apart: special
      .filter((plant) => plant.apart)
      .map((plant) => ({ ...cardOf(plant, day), placeName: placeName.get(plant.placeId) ?? "" })),
    unplanned,
    next: ahead.toSorted((a, b) => a.day.localeCompare(b.day) || (a.what > b.what ? -1 : 1))[0] ?? null,
    plants: counts.everything,
  };
}

function dueStep(planned: PlannedDose, { growthForm: form, potCm }: Plant) {
  const volumeMl = isWork(planned) ? volumeOfDose(planned, { form, potCm }) : volumeFor(planned.technique, potCm);
  return { planned, potCm, volumeMl };
}

function gather(due: readonly DueTreatment[]): Sitting[] {
  return [...groupBy(due, ({ planned }) => (isWork(planned) ? planned.work : planned.mix))].map(([what, lines]) => ({
    what,
    due: lines.toSorted((a, b) => b.daysLate - a.daysLate || a.plant.code.localeCompare(b.plant.code)),
    totalMl: totalOf(lines),
  }));
}

function totalOf(lines: readonly DueTreatment[]): number {
  const mixed = lines.flatMap(({ planned, potCm }) =>
    isWork(planned) ? [] : [{ technique: planned.technique, potCm }],
  );
  const works = lines.filter(({ planned }) => isWork(planned));
  return sittingVolume(mixed) + works.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
}
