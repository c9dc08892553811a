import type { z } from "zod";
import type { ProductId } from "../knowledge/household/products";
import type { Search } from "../model/inspection/see";
import type { Air } from "../climate/air";
import type { Pest, PestId } from "../knowledge/pests/pests";
import type { GrowthFormId } from "../knowledge/plants/growthForms";
import type { LastingEvent, TreatmentEvent } from "../model/population/events";
import type { CautionId } from "../knowledge/remedies/remedies";
import type { GnatWayId } from "./gnatWayIds";
import type { DoneToPots, InPots } from "./inPots";
import type { Poured } from "./poured";
import type { TimerProposal } from "./timerIds";
import type { WorkId } from "./workIds";

/** What lasting acts depend on, so many whole days after they were done. */
export interface Conditions extends Air {
  /** Whether the plant rests dry. */
  readonly rests: boolean;
}

/** Whose animals an act meets: a pest, and where it hides on a plant of a form. */
export interface Target {
  readonly pest: Pest;
  /** Whose weights say where the animals sit. */
  readonly weights: PestId;
  readonly form: GrowthFormId;
  /** How it is on the days after the act; as the tables take it where left out. */
  readonly conditions?: (daysAfter: number) => Conditions;
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

/** What an act makes wet, and what it means for helpful animals and for roots. */
export interface Touches {
  /** Leaves get wet. */
  readonly leaves: boolean;
  /** Water goes into the mix. */
  readonly mix: boolean;
  /** Hands or a remedy come to the roots. */
  readonly roots: boolean;
  /** It kills helpful animals, those there are and for a while those that come. */
  readonly helpers: boolean;
  /** It goes into the air that is breathed. */
  readonly air: boolean;
  /** The whole plant is washed by it, as a new one is. */
  readonly washed: boolean;
}

/** An act that touches nothing of all that. */
export const touchesNothing: Touches = {
  leaves: false,
  mix: false,
  roots: false,
  helpers: false,
  air: false,
  washed: false,
};

/** What still follows from something done: water again, a remedy that begins or ends to act, helpers to renew, sprays out of the way. */
export const aheadIds = [
  "water",
  "systemicActs",
  "systemicEnds",
  "renewHelpers",
  "helpersGone",
  "freeForHelpers",
] as const;
export type AheadId = (typeof aheadIds)[number];

/** One kind of thing that hands do: its parameters, and everything that follows from them. The compiler asks for each. */
export interface ActKind<K extends string, Shape extends z.ZodType<{ readonly kind: K }>> {
  readonly kind: K;
  /** The parameters, as they come in and as they are read back. */
  readonly shape: Shape;
  readonly doneTo: readonly ActSubject[];
  /** What it does to a pest on a plant, from `atDays` (since day 0) on. Empty where it does nothing. */
  readonly events: (act: z.output<Shape>, target: Target, atDays: number) => readonly ActEvent[];
  /** Whether it is a treatment against a pest: looks made before it say nothing of what it left. */
  readonly treats: (act: z.output<Shape>, pest: PestId) => boolean;
  /** The look it was, where the hand went by the eye and the eye found nothing; null for anything else. */
  readonly cleanLook: (act: z.output<Shape>) => Search | null;
  readonly touches: (act: z.output<Shape>) => Touches;
  /** What is put on or let loose, by the names a home knows it by; none for hands, water, cards and ways of growing. */
  readonly products: (act: z.output<Shape>) => readonly ProductId[];
  /** What comes out of a bottle; null where no amount of any bottle is known. */
  readonly poured: (act: z.output<Shape>) => Poured | null;
  /** The work of a plan that it carries out; null for none. */
  readonly work: (act: z.output<Shape>) => WorkId | null;
  /** What must be read before it. */
  readonly cautions: (act: z.output<Shape>) => readonly CautionId[];
  /** What it takes on a plant in a pot `potCm` wide. */
  readonly costs: (act: z.output<Shape>, potCm: number) => Costs;
  /** What is waited for with the clock afterwards. */
  readonly timers: (act: z.output<Shape>) => readonly TimerProposal[];
  /** The way against a room's gnats that it belongs to; null for none. */
  readonly gnatWay: (act: z.output<Shape>) => GnatWayId | null;
  /** What it does to the gnats in the pots it is done to; what it takes out of the air is no part of it. */
  readonly inPots: (act: z.output<Shape>, done: DoneToPots) => InPots;
  /** What makes two of it the same step of a session, however much of it there was; empty where all are. */
  readonly alike: (act: z.output<Shape>) => string;
  /** What follows so many days later. */
  readonly ahead: (act: z.output<Shape>) => readonly { readonly what: AheadId; readonly days: number }[];
}

/** An act kind as written down, its parameters' shape kept exact. */
export function actKind<K extends string, Shape extends z.ZodType<{ readonly kind: K }>>(
  kind: ActKind<K, Shape>,
): ActKind<K, Shape> {
  return kind;
}
