import type { z } from "zod";
import type { Pest, PestId } from "../pests/pests";
import type { GrowthFormId } from "../plants/growthForms";
import type { LastingEvent, TreatmentEvent } from "../population/events";
import type { CautionId } from "../remedies/remedies";

/** Whose animals an act meets: a pest, and where it hides on a plant of a form. */
export interface Target {
  readonly pest: Pest;
  /** Whose weights say where the animals sit. */
  readonly weights: PestId;
  readonly form: GrowthFormId;
}

/** What an act takes. */
export interface Costs {
  readonly minutes: number;
  /** Of a finished mix; 0 where nothing is mixed. */
  readonly volumeMl: number;
}

/** What an act may be done to. */
export type ActSubject = "plant" | "place";

/** What an act does to a population, as the model takes it. */
export type ActEvent = TreatmentEvent | LastingEvent;

/** One kind of thing that hands do: its parameters, and what follows from them. */
export interface ActKind<K extends string, Shape extends z.ZodType<{ readonly kind: K }>> {
  readonly kind: K;
  /** The parameters, as they come in and as they are read back. */
  readonly shape: Shape;
  readonly doneTo: readonly ActSubject[];
  /** What it does to a pest on a plant, from `atDays` (since day 0) on. Empty where it does nothing. */
  readonly events: (act: z.output<Shape>, target: Target, atDays: number) => readonly ActEvent[];
  /** What must be read before it. */
  readonly cautions: (act: z.output<Shape>) => readonly CautionId[];
  /** What it takes on a plant in a pot `potCm` wide. */
  readonly costs: (act: z.output<Shape>, potCm: number) => Costs;
}

/** An act kind as written down, its parameters' shape kept exact. */
export function actKind<K extends string, Shape extends z.ZodType<{ readonly kind: K }>>(
  kind: ActKind<K, Shape>,
): ActKind<K, Shape> {
  return kind;
}
