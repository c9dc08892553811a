import { byCode } from "@/core/knowledge/plants/codes";
import type { WorkId } from "@/core/acts/workIds";
import type { Day } from "@/core/shared/days";
import { groupBy } from "@/core/shared/groupBy";
import type { MixId } from "@/core/knowledge/mixes/mixes";
import { mixOf } from "@/core/advice/evening/bath";
import { isOfRoom, type PestId } from "@/core/knowledge/pests/pests";
import { treatmentOf } from "@/core/advice/planning/doses";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { inParallel } from "@/db/query";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { nextTreatments, type NextTreatment } from "../../cases/nextTreatments";
import { plantsInCase } from "../../cases/openCases";
import { cardOf } from "../plantCard";

/** One treatment that is due, as a line of a batch. */
export type DueTreatment = NextTreatment;

/** All that is due of one mix or one work, with the volume to mix for it. */
export interface DueBatch {
  readonly what: MixId | WorkId;
  readonly due: readonly DueTreatment[];
  readonly totalMl: number;
}

export interface TodayView {
  readonly day: Day;
  readonly batches: readonly DueBatch[];
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
  const [looksDue, counts, special, allPlaces, inCase] = await inParallel(
    scope,
    () => plantStates.lookDue(scope, day, LOOKS_SHOWN),
    () => plantStates.count(scope, day),
    () => plantStates.apartOrInfested(scope),
    () => places.all(scope),
    () => plantsInCase(scope),
  );
  const nextLook = counts.nextOn === null ? null : await plantStates.firstLookOn(scope, counts.nextOn);
  const placeName = new Map(allPlaces.map((place) => [place.id, place.name]));

  // Gnats are a matter of the room: a plant that has nothing else is neither set apart nor planned for.
  const ofRoomAlone = new Set(
    inCase
      .filter(({ record }) => record.cases.filter(({ open }) => open).every(({ pest }) => isOfRoom(pest)))
      .map(({ listed }) => listed.id),
  );
  const { treatments, unplanned } = nextTreatments(inCase, lookEveryDays, day);
  const due = treatments.filter(({ dueOn }) => dueOn <= day);
  const ahead = [
    ...(nextLook ? [{ what: "look" as const, day: nextLook.lookDueOn as Day, plant: cardOf(nextLook, day) }] : []),
    ...treatments
      .filter(({ dueOn }) => dueOn > day)
      .map(({ dueOn, plant }) => ({ what: "treat" as const, day: dueOn, plant })),
  ];
  return {
    day,
    batches: gather(due),
    looksDue: looksDue.map((plant) => cardOf(plant, day)),
    looksDueCount: counts.due,
    loose: special
      .filter((p) => p.state === "infested" && !p.apart && !ofRoomAlone.has(p.id))
      .map((plant) => cardOf(plant, day)),
    apart: special
      .filter((plant) => plant.apart)
      .map((plant) => ({ ...cardOf(plant, day), placeName: placeName.get(plant.placeId) ?? "" })),
    unplanned: unplanned.filter(({ pest }) => !isOfRoom(pest)),
    next: ahead.toSorted((a, b) => a.day.localeCompare(b.day) || (a.what > b.what ? -1 : 1))[0] ?? null,
    plants: counts.everything,
  };
}

function gather(due: readonly DueTreatment[]): DueBatch[] {
  return [...groupBy(due, ({ planned }) => treatmentOf(planned))].map(([what, lines]) => ({
    what,
    due: lines.toSorted((a, b) => b.daysLate - a.daysLate || byCode(a.plant.code, b.plant.code)),
    totalMl: mixOf(lines).mixMl,
  }));
}
