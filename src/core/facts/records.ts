import type { Day } from "../climate/days";
import type { SeverityId } from "../inspection/severity";
import type { ToolId } from "../inspection/tools";
import type { MixId } from "../mixing/mixes";
import type { PestId } from "../pests/pests";
import type { GrowthFormId } from "../plants/growthForms";
import type { SpotId } from "../plants/spots";
import type { TechniqueId } from "../remedies/remedies";
import type { Round } from "../walk/places";
import type { AdoptPlan, Naming, OutcomeId, PlaceKind, SkipReason, WalkScope } from "./deeds";

/** The facts as they are read back. `at` is an instant, `day` its day in the collection's time zone. */

export interface Place {
  readonly id: string;
  readonly name: string;
  readonly kind: PlaceKind;
  readonly parentId: string | null;
  readonly meanC: number;
}

/** Whether a plant standing there is apart from the others. */
export function isApart(kind: PlaceKind): boolean {
  return kind === "isolation" || kind === "bag";
}

export interface Plant {
  readonly id: string;
  readonly code: string;
  readonly name: string;
  readonly genus: string;
  readonly growthForm: GrowthFormId;
  readonly potCm: number;
  readonly acquiredOn: Day | null;
  readonly seller: string;
  readonly inFlower: boolean;
  readonly addedOn: Day;
  readonly archived: boolean;
}

export interface Placement {
  readonly id: string;
  readonly plantId: string;
  readonly placeId: string;
  readonly placeName: string;
  readonly placeKind: PlaceKind;
  readonly at: Date;
  readonly day: Day;
  readonly voidReason: string | null;
}

export interface Find {
  readonly id: string;
  readonly caseId: string;
  readonly pest: PestId;
  readonly severity: SeverityId;
  readonly count: number | null;
  readonly removed: boolean;
  /** Where they sat, and which life stages were seen; empty where nobody said. */
  readonly spots: readonly SpotId[];
  readonly stages: readonly string[];
}

export interface Look {
  readonly id: string;
  readonly plantId: string;
  readonly at: Date;
  readonly day: Day;
  readonly tool: ToolId;
  readonly spots: readonly SpotId[];
  /** False when one side of the plant stayed unseen. */
  readonly turned: boolean;
  readonly walkId: string | null;
  readonly naming: Naming | null;
  readonly note: string;
  readonly finds: readonly Find[];
  readonly voidReason: string | null;
}

export interface Treatment {
  readonly id: string;
  readonly caseId: string;
  readonly plantId: string;
  readonly stepId: string | null;
  readonly mix: MixId;
  readonly technique: TechniqueId;
  readonly volumeMl: number;
  readonly spots: readonly SpotId[];
  readonly at: Date;
  readonly day: Day;
  readonly note: string;
  readonly voidReason: string | null;
}

export interface Closing {
  readonly id: string;
  readonly caseId: string;
  readonly outcome: OutcomeId;
  readonly at: Date;
  readonly day: Day;
  readonly note: string;
  readonly voidReason: string | null;
}

/** One pest on one plant, until clear. */
export interface Case {
  readonly id: string;
  readonly plantId: string;
  readonly pest: PestId;
  readonly openedAt: Date;
  readonly openedOn: Day;
  readonly open: boolean;
}

export interface PlanStep {
  readonly id: string;
  readonly planId: string;
  readonly kind: "treat" | "look";
  readonly dueOn: Day;
  /** The day it was carried out, or null. A look step is done by any look on or after the day before it is due. */
  readonly doneOn: Day | null;
}

export interface Plan {
  readonly id: string;
  readonly caseId: string;
  readonly mix: MixId;
  readonly technique: TechniqueId;
  readonly basis: AdoptPlan["basis"];
  /** What its first treatment is done with, where that is another thing than the rest. */
  readonly knockDown: { readonly mix: MixId; readonly technique: TechniqueId } | null;
  /** The probability it promised when it was adopted; null for dates that were never scored. */
  readonly pOver: number | null;
  readonly adoptedAt: Date;
  readonly adoptedOn: Day;
  readonly steps: readonly PlanStep[];
  readonly voidReason: string | null;
}

/** What a step of a plan is done with: the first one may be a knock-down. */
export function doseOf(plan: Plan, step: PlanStep): { mix: MixId; technique: TechniqueId } {
  const first = plan.steps.find((s) => s.kind === "treat");
  return plan.knockDown && step.id === first?.id ? plan.knockDown : plan;
}

/** A place's mean temperature from a day on. */
export interface PlaceTemperature {
  readonly placeId: string;
  readonly since: Day;
  readonly meanC: number;
}

/** A round of looks. */
export interface Walk {
  readonly id: string;
  readonly scope: WalkScope;
  readonly placeId: string | null;
  readonly tool: ToolId;
  readonly round: Round;
  readonly startedAt: Date;
  readonly startedOn: Day;
  readonly endedAt: Date | null;
}

/** A plant left out on a walk, with the reason. */
export interface Skip {
  readonly id: string;
  readonly walkId: string;
  readonly plantId: string;
  readonly reason: SkipReason;
  readonly at: Date;
  readonly day: Day;
  readonly voidReason: string | null;
}

export interface Photo {
  readonly id: string;
  readonly lookId: string;
  readonly width: number;
  readonly height: number;
}
