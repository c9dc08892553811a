import type { Day } from "../../shared/days";
import { arrival } from "./arrival";
import { casePlan } from "./casePlan";
import { guard } from "./guard";
import type { Due, ProgrammeFacts, ProgrammeKind, ProgrammeKindId, Verdict } from "./programme";
import { returns } from "./returns";
import { round } from "./round";
import { unnamed } from "./unnamed";
import { watch } from "./watch";

/** The registry: every kind of programme there is. */
const programmeKinds: { readonly [K in ProgrammeKindId]: ProgrammeKind<K> } = {
  casePlan,
  guard,
  unnamed,
  watch,
  returns,
  arrival,
  round,
};
const all = Object.values(programmeKinds) as readonly ProgrammeKind<ProgrammeKindId>[];

/** Everything that falls due on a plant, on whatever day, by day; of one day treatments first. */
export function dueOf(facts: ProgrammeFacts, today: Day): Due[] {
  return all
    .flatMap((kind) => kind.due(facts, today))
    .toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.what > b.what ? -1 : a.what < b.what ? 1 : 0));
}

/** How every programme stands on a plant. */
export function verdictsOf(facts: ProgrammeFacts, today: Day): Readonly<Record<ProgrammeKindId, Verdict>> {
  return Object.fromEntries(all.map((kind) => [kind.kind, kind.verdict(facts, today)])) as Record<
    ProgrammeKindId,
    Verdict
  >;
}
