import { inUse } from "@/core/knowledge/household/bottles";
import type { Case } from "@/core/record/cases/cases";
import { coursesOn } from "@/core/advice/plans/coursesOnRecord";
import { changesSince, ruleOf, type PlanChanges } from "@/core/advice/clearance/clearing";
import { nextTreatment, planInForce, type Plan, type PlanStep } from "@/core/advice/plans/plans";
import { inCase, type CaseRecordShown } from "@/core/record/cases/shown";
import type { Clearance } from "@/core/model/clearance/rule";
import { idIn } from "@/core/shared/fields";
import type { Plant } from "@/core/record/facts/descriptions";
import type { CaseFileInput } from "@/core/record/format/schema";
import { volumeFor } from "@/core/knowledge/mixes/sprayVolume";
import { pestOf } from "@/core/knowledge/pests/pests";
import { eggToAdultDays } from "@/core/knowledge/pests/stageDurations";
import type { TreatmentCourses } from "@/core/advice/planning/treatmentCourse";
import { sensitivitiesOf } from "@/core/knowledge/plants/care";
import type { OnPlant } from "@/core/advice/plans/onPlant";
import { riskNotAsked } from "@/core/schedule/programmes/programme";
import { hazardOf, type Hazard } from "@/core/schedule/programmes/hazard";
import { verdictsOf } from "@/core/schedule/programmes/programmes";
import { relapseFrom, type Relapse } from "@/core/advice/isolation/relapse";
import type { TechniqueId } from "@/core/knowledge/remedies/remedies";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import * as caseNumbers from "@/db/stores/cases/caseNumbers";
import { scopeOf, today, type Context } from "../../shared/context";
import { caseOnRecord } from "../caseOnRecord";
import { foundersNear } from "../foundersNear";
import { fileOfCase, knownJudgement, type KnownJudgement } from "../judgements";
import { onPlant } from "../../plants/onPlant";
import { warmed, type WarmPlace } from "../../places/placesAsTheyStand";
import { cardOf } from "../../plants/plantCard";

export interface CaseView {
  readonly found: Case;
  readonly plant: Plant;
  /** What makes it touchy, and where each comes from. */
  readonly sensitivities: ReturnType<typeof sensitivitiesOf>;
  readonly on: OnPlant;
  readonly card: PlantCard;
  readonly place: WarmPlace;
  /** The facts of the case, those struck out among them. */
  readonly facts: CaseRecordShown;
  readonly plan: Plan | null;
  readonly nextStep: PlanStep | null;
  readonly clearance: Clearance;
  /** Everything on record as a case file, for reckoning elsewhere; null for a case that cannot be written as one. */
  readonly file: CaseFileInput | null;
  /** What the engine says of it; null for closed cases, and while it has not been reckoned yet. */
  readonly judged: KnownJudgement | null;
  /** Why the plan in force no longer promises what it did. */
  readonly changed: PlanChanges;
  /** Days a generation takes at today's warmth; null where it is too cold, or nothing is known. */
  readonly generationDays: number | null;
  /** What a treatment of this plant with the plan's technique is likely to take, mL. */
  readonly volumeMl: number;
  readonly courses: TreatmentCourses;
  /** Founders that may have come since the last treatment before it was found again; null where it was not. */
  readonly founders: number | null;
  /** Whether it is a return of one that was called clear, and with what odds; null where it is none. */
  readonly returned: Relapse | null;
  /** Why a return is likelier here than elsewhere. */
  readonly hazard: Hazard;
  /** The last day on which the plant is guarded after this case was closed as clear; null where it is not. */
  readonly guardedUntil: string | null;
}

/** A case with everything that bears on whether it is over; null when there is no such case. */
export async function readCase(context: Context, asked: string): Promise<CaseView | null> {
  const id = idIn(asked);
  if (!id) return null;
  const scope = scopeOf(context, "read");
  const day = today(context);
  const onRecord = await caseOnRecord(scope, id);
  if (!onRecord) return null;
  const { found, record, around } = onRecord;
  const { plant } = record;
  const card = cardOf(record.listed, day);
  const place = warmed(around.places, around.temperaturesOf, day).find((one) => one.id === card.placeId)!;
  const plan = planInForce(found, record.cases, record);
  const judged = found.open ? await knownJudgement(context, scope, record, found) : null;
  const judgement = judged?.judged.ok ? judged.judged.judgement : null;
  const sureness = judgement && {
    pClear: judgement.assessment.pClear,
    target: context.collection.clearPercent / 100,
  };
  const file = fileOfCase(record, found, day, context.collection);
  const { guard } = verdictsOf(
    { record, lookEveryDays: context.collection.lookEveryDays, risk: riskNotAsked, petalsOf: () => card.petals },
    day,
  );
  return {
    found,
    plant,
    sensitivities: sensitivitiesOf(plant),
    on: onPlant(context, record, found.openedAt),
    card,
    place,
    facts: inCase(found, record),
    plan,
    nextStep: plan && nextTreatment(plan),
    clearance: ruleOf(found, record, record.warmth, day, sureness),
    file,
    judged,
    changed: changesSince(plan, found, record, record.warmth, day, judgement?.outlook?.lateDays ?? 0),
    generationDays: place.meanC === null ? null : eggToAdultDays(pestOf(found.pest), place.meanC),
    volumeMl: volumeFor(lastTechnique(plan) ?? "spray", plant.potCm),
    courses: coursesOn(record.acts, day, inUse(context.collection.bottles)),
    founders: found.open ? await foundersNear(scope, found, card.placeId, record, around.places) : null,
    returned: relapseFrom(found, record.cases, await caseNumbers.keptOrigin(scope, found.id)),
    hazard: hazardOf(record, found.pest),
    guardedUntil: found.closing?.outcome === "clear" ? guard.until : null,
  };
}

/** How the last mix of a plan is put on; null where it has none. */
function lastTechnique(plan: Plan | null): TechniqueId | null {
  const doses = plan?.steps.flatMap(({ dose }) => (dose && "mix" in dose ? [dose] : [])) ?? [];
  return doses.at(-1)?.technique ?? null;
}
