import { addDays, type Day } from "../../shared/days";
import { standing, type ActDone, type Reaction } from "../../record/facts/facts";
import { remediesIn, type MixId } from "../../knowledge/mixes/mixes";
import { potencyOf } from "../../knowledge/mixes/potency";
import type { TechniqueId } from "../../knowledge/remedies/remedies";

/** What is looked at after a treatment: whether a first leaf bore it, whether the flowers did, how an oil has dried. */
export const askIds = ["firstTime", "flowers", "gloss"] as const;
export type AskId = (typeof askIds)[number];

/** A treatment after which somebody looks at how the plant has borne it. */
export interface AskedAfter {
  readonly actId: string;
  readonly mix: MixId;
  readonly technique: TechniqueId;
  readonly on: Day;
  readonly asks: readonly AskId[];
}

/** Scorch shows within a day or two, flowers fade within three, oil is dry the next day (common practice). */
const SHOWS_AFTER_DAYS: Record<AskId, number> = { firstTime: 1, flowers: 3, gloss: 1 };
/** After so many days nobody can tell any more what it came from (HOUSE). */
export const TOLD_WITHIN_DAYS = 7;

/**
 * Of what treatments it is to be said how the plant has borne them, the latest first: of a mix that it had not had before, or not as
 * strong; of any but soap while it flowered; of each oil, by its gloss. What has been said since, of the same remedy, is asked no more.
 * `acts` and `reactions` in any order. @example askedAfter([], [], false, today) // []
 */
export function askedAfter(
  acts: readonly ActDone[],
  reactions: readonly Reaction[],
  flowers: boolean,
  today: Day,
): readonly AskedAfter[] {
  const put = standing(acts)
    .flatMap(({ id, day, at, act }) => (act.kind === "contact" ? [{ id, day, at, ...act }] : []))
    .toSorted((a, b) => b.at.getTime() - a.at.getTime());
  const said = standing(reactions);
  return put.flatMap(({ id, day, at, mix, technique }, i): AskedAfter[] => {
    if (addDays(day, TOLD_WITHIN_DAYS) < today) return [];
    const remedies = remediesIn(mix);
    // A can is not what was in it: who has borne each alone may not bear both.
    const same = (one: MixId) => remediesIn(one).join() === remedies.join();
    if (said.some((one) => same(one.mix) && one.at >= at)) return [];
    // A later one of the same remedy asks for both.
    if (put.slice(0, i).some((later) => same(later.mix))) return [];
    const before = put.slice(i + 1).some((one) => same(one.mix) && potencyOf(one.mix) >= potencyOf(mix));
    const borne = said.some((one) => one.what === "nothing" && same(one.mix) && potencyOf(one.mix) >= potencyOf(mix));
    const asks: readonly AskId[] = [
      ...(!before && !borne ? ["firstTime" as const] : []),
      ...(flowers && remedies.join() !== "soap" ? ["flowers" as const] : []),
      ...(remedies.includes("oil") ? ["gloss" as const] : []),
    ];
    const shown = asks.filter((ask) => addDays(day, SHOWS_AFTER_DAYS[ask]) <= today);
    return shown.length > 0 ? [{ actId: id, mix, technique, on: day, asks: shown }] : [];
  });
}
