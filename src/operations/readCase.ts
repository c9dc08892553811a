import { clearanceRule, type Clearance } from "@/core/clearance/rule";
import type { CaseFileInput } from "@/core/format/schema";
import type { Day } from "@/core/climate/days";
import { isId } from "@/core/fields";
import type { Case, Closing, Plan, PlaceTemperature, PlanStep, Treatment, Look } from "@/core/facts/records";
import { pestOf } from "@/core/pests/pests";
import { eggToAdultDays } from "@/core/pests/stageDurations";
import { volumeFor } from "@/core/mixing/sprayVolume";
import * as casesStore from "@/db/stores/cases";
import * as placesStore from "@/db/stores/places";
import * as plansStore from "@/db/stores/plans";
import { fileOfCase, type CaseOnRecord } from "./caseFile";
import { scopeOf, today, type Context } from "./context";
import { Budget, judgeCases, type KeptJudgement } from "./judgeCases";
import { readPlant, type PlantView } from "./readPlant";
import { caseRecord } from "./refreshPlantStates";
import { nextTreatment } from "./readToday";

export interface CaseView {
  readonly found: Case;
  readonly view: PlantView;
  readonly looks: readonly Look[];
  readonly treatments: readonly Treatment[];
  readonly plan: Plan | null;
  readonly nextStep: PlanStep | null;
  readonly closing: Closing | null;
  readonly clearance: Clearance;
  /** Everything on record as a case file, for reckoning elsewhere; null for a case that no look supports. */
  readonly file: CaseFileInput | null;
  /** What the engine says of it; null for closed cases. */
  readonly judged: KeptJudgement | null;
  /** Why the plan in force no longer promises what it did. */
  readonly changed: PlanChanges;
  readonly generationDays: number | null;
  /** What a treatment of this plant with the plan's technique is likely to take, mL. */
  readonly volumeMl: number;
}

/** What has happened since a plan was adopted that changes what it promises. */
export interface PlanChanges {
  readonly lateDays: number;
  /** The last day since on which live animals were found, if any. */
  readonly foundOn: Day | null;
  /** How much warmer it is now than when the plan was adopted, °C; 0 where it is as warm. */
  readonly warmerByC: number;
}

/** A case with everything that bears on whether it is over; null when there is no such case. */
export async function readCase(context: Context, id: string): Promise<CaseView | null> {
  if (!isId(id)) return null;
  const found = await casesStore.find(scopeOf(context), id);
  const view = found && (await readPlant(context, found.plantId));
  if (!found || !view) return null;
  const scope = scopeOf(context);
  const { meanC } = view.place;
  const plan = plansStore.inForce(view.plans, id);
  const temperatures = await placesStore.temperatures(scope);
  const { plant, looks, treatments, placements } = view;
  const onRecord = { found, plant, looks, treatments, placements };
  const day = today(context);
  const judgedNow = found.open ? await judgeCases(context, scope, [onRecord], temperatures, new Budget(1)) : null;
  const judged = judgedNow?.kept.get(id) ?? null;
  const sureness = judged && {
    pClear: judged.judgement.assessment.pClear,
    target: context.collection.clearPercent / 100,
  };
  return {
    found,
    view,
    looks: looks.filter((look) => look.at >= found.openedAt),
    treatments: treatments.filter((t) => t.caseId === id),
    plan,
    nextStep: plan && nextTreatment(plan),
    closing: view.closings.findLast((c) => c.caseId === id && c.voidReason === null) ?? null,
    clearance: clearanceRule(caseRecord(found, looks, treatments, meanC), day, sureness),
    file: fileOfCase(onRecord, temperatures, day),
    judged,
    changed: changesSince(plan, onRecord, temperatures, view.place.id, judged?.judgement.outlook?.lateDays ?? 0),
    generationDays: eggToAdultDays(pestOf(found.pest), meanC),
    volumeMl: volumeFor(plan?.technique ?? "spray", plant.potCm),
  };
}

function changesSince(
  plan: Plan | null,
  { found, looks }: CaseOnRecord,
  temperatures: readonly PlaceTemperature[],
  placeId: string,
  lateDays: number,
): PlanChanges {
  if (!plan) return { lateDays, foundOn: null, warmerByC: 0 };
  const finds = looks.filter(
    (look) =>
      look.voidReason === null && look.at > plan.adoptedAt && look.finds.some((find) => find.pest === found.pest),
  );
  const here = temperatures.filter((t) => t.placeId === placeId);
  const then = here.findLast((t) => t.since <= plan.adoptedOn);
  const now = here.at(-1);
  return { lateDays, foundOn: finds.at(-1)?.day ?? null, warmerByC: then && now ? now.meanC - then.meanC : 0 };
}
