import { z } from "zod";
import type { CautionId } from "../knowledge/remedies/remedies";
import { clean } from "./clean";
import { contact } from "./contact";
import { culture } from "./culture";
import { drench } from "./drench";
import { dust } from "./dust";
import type { ProductId } from "../knowledge/household/products";
import type { Search } from "../model/inspection/see";
import type { PestId } from "../knowledge/pests/pests";
import type { ActEvent, ActKind, ActSubject, AheadId, Costs, Target, Touches } from "./kind";
import type { GnatWayId } from "./gnatWayIds";
import type { DoneToPots, InPots } from "./inPots";
import { mechanical } from "./mechanical";
import type { Poured } from "./poured";
import { release } from "./release";
import { systemic } from "./systemic";
import type { TimerProposal } from "./timerIds";
import { trap } from "./trap";
import type { WorkId } from "./workIds";

/** Everything that hands can do, kind by kind. */
export const actKinds = { contact, drench, mechanical, systemic, release, trap, dust, culture, clean } as const;

export type ActKindId = keyof typeof actKinds;
export const actKindIds = Object.keys(actKinds) as [ActKindId, ...ActKindId[]];

/** The parameters of an act of any kind. */
export const act = z.discriminatedUnion("kind", [
  contact.shape,
  drench.shape,
  mechanical.shape,
  systemic.shape,
  release.shape,
  trap.shape,
  dust.shape,
  culture.shape,
  clean.shape,
]);
export type Act = z.output<typeof act>;

/** The kind of an act, as the general type: its own functions take its own parameters. */
function kindOf(kind: ActKindId): ActKind<ActKindId, z.ZodType<Act>> {
  return actKinds[kind] as unknown as ActKind<ActKindId, z.ZodType<Act>>;
}

/**
 * What an act does to a pest on a plant, as events of the model from `atDays` (days since day 0) on. Empty where it does
 * nothing to that pest. @example eventsOfAct({ kind: "trap", cards: 1, days: 7 }, mealybugs, 0) // []
 */
export function eventsOfAct(done: Act, target: Target, atDays: number): readonly ActEvent[] {
  return kindOf(done.kind).events(done, target, atDays);
}

/** What must be read before an act. Never empty. */
export function cautionsOfAct(done: Act): readonly CautionId[] {
  return kindOf(done.kind).cautions(done);
}

/** Which way against a room's gnats an act belongs to; null for any other. @example wayOfAct({ kind: "trap", cards: 2, days: 28 }) // "cards" */
export function wayOfAct(done: Act): GnatWayId | null {
  return kindOf(done.kind).gnatWay(done);
}

/** What an act does to the gnats in the pots it is done to; what it takes out of the air is no part of it. */
export function inPotsOf(done: Act, to: DoneToPots): InPots {
  return kindOf(done.kind).inPots(done, to);
}

/** What makes two acts the same step of a session, however much of it there was. @example likeness({ kind: "trap", cards: 2, days: 28 }) // "trap" */
export function likeness(done: Act): string {
  return `${done.kind} ${kindOf(done.kind).alike(done)}`.trimEnd();
}

/** What an act takes on a plant in a pot `potCm` wide (HOUSE). Throws RangeError unless `potCm` is above 0. */
export function costsOfAct(done: Act, potCm: number): Costs {
  if (!(potCm > 0)) throw new RangeError(`a pot has a width, got ${potCm}`);
  return kindOf(done.kind).costs(done, potCm);
}

/** What acts of a kind may be done to. @example subjectsOf("trap") // ["plant", "place"] */
export function subjectsOf(kind: ActKindId): readonly ActSubject[] {
  return kindOf(kind).doneTo;
}

/**
 * Whether an act is a treatment against a pest, so that what was seen before it says nothing of what it left.
 * @example treats({ kind: "trap", cards: 1, days: 14 }, "mealybug") // false
 */
export function treats(done: Act, pest: PestId): boolean {
  return kindOf(done.kind).treats(done, pest);
}

/** The look that an act was, where the eye guided the hand and found nothing; null for anything else. */
export function cleanLookIn(done: Act): Search | null {
  return kindOf(done.kind).cleanLook(done);
}

/** An act as it is where the eye that guided the hand saw nothing; null where no eye guides it. */
export function withNoneSeen(done: Act): Act | null {
  const none = { ...done, seen: "none" } as Act;
  return cleanLookIn(none) ? none : null;
}

/** What an act makes wet, and whom else it meets. @example touchesOf({ kind: "dust", dryDays: 7 }).helpers // true */
export function touchesOf(done: Act): Touches {
  return kindOf(done.kind).touches(done);
}

/** What an act puts on or lets loose, by the names a home knows it by; none for hands, water, cards and ways of growing. */
export function productsOf(done: Act): readonly ProductId[] {
  return kindOf(done.kind).products(done);
}

/** What an act takes out of bottles, as a mix; null where no amount of any bottle is known. */
export function pouredIn(done: Act): Poured | null {
  return kindOf(done.kind).poured(done);
}

/** Which planned work an act carries out; null for any other act. @example workIn({ kind: "dust", dryDays: 7 }) // null */
export function workIn(done: Act): WorkId | null {
  return kindOf(done.kind).work(done);
}

/** What is waited for with the clock after an act; empty where nothing is. @example timersAfter({ kind: "dust", dryDays: 7 }) // [] */
export function timersAfter(done: Act): readonly TimerProposal[] {
  return kindOf(done.kind).timers(done);
}

/** What follows days after an act. @example aheadAfter({ kind: "dust", dryDays: 7 }) // [{ what: "freeForHelpers", days: 14 }] */
export function aheadAfter(done: Act): readonly { readonly what: AheadId; readonly days: number }[] {
  return kindOf(done.kind).ahead(done);
}
