import { z } from "zod";
import type { CautionId } from "../remedies/remedies";
import { contact } from "./contact";
import { culture } from "./culture";
import { drench } from "./drench";
import { dust } from "./dust";
import type { ActEvent, ActKind, ActSubject, Costs, Target } from "./kind";
import { mechanical } from "./mechanical";
import { release } from "./release";
import { systemic } from "./systemic";
import { trap } from "./trap";

/** Everything that hands can do, kind by kind. */
export const actKinds = { contact, drench, mechanical, systemic, release, trap, dust, culture } as const;

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

/** What an act takes on a plant in a pot `potCm` wide (HOUSE). Throws RangeError unless `potCm` is above 0. */
export function costsOfAct(done: Act, potCm: number): Costs {
  if (!(potCm > 0)) throw new RangeError(`a pot has a width, got ${potCm}`);
  return kindOf(done.kind).costs(done, potCm);
}

/** What acts of a kind may be done to. @example subjectsOf("trap") // ["plant", "place"] */
export function subjectsOf(kind: ActKindId): readonly ActSubject[] {
  return kindOf(kind).doneTo;
}
