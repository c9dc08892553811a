import type { LastingEvent } from "../model/population/events";
import type { Pest } from "../knowledge/pests/pests";
import type { LastingRemedy } from "../knowledge/remedies/lasting";

/**
 * A lasting remedy as the model takes it, from `atDays` (days since day 0) on, an event for each of its phases, or for each stretch
 * of days of a phase that keeps one share of its rates; nothing where it does not touch the pest. `shareOn` gives the share kept on
 * a day after the act, in steps of a twentieth; all where left out.
 * @example lastingEvents(pests.spiderMite, systemics.throughTheRoots, 0) // []
 */
export function lastingEvents(
  pest: Pest,
  {
    fromDay,
    untilDay,
    dailyHazard,
    phases = [[fromDay, untilDay, 1]],
  }: Pick<LastingRemedy, "fromDay" | "untilDay" | "dailyHazard" | "phases">,
  atDays: number,
  shareOn: (daysAfter: number) => number = () => 1,
): readonly LastingEvent[] {
  const rates = (dailyHazard as Readonly<Record<string, Readonly<Record<string, number>> | undefined>>)[pest.id];
  if (!rates) return [];
  return phases.flatMap(([from, until, share]) =>
    stretches(from, until, shareOn).map(([begin, end, kept]): LastingEvent => ({
      kind: "lasting",
      atDays: atDays + begin,
      untilDays: atDays + end,
      effect: { dailyHazard: pest.stages.map((stage) => share * kept * (rates[stage.id] ?? 0)), layFactor: 1 },
    })),
  );
}

/** Days from one to another in stretches of one share; those of none are left out. */
function stretches(
  from: number,
  until: number,
  shareOn: (daysAfter: number) => number,
): readonly (readonly [begin: number, end: number, share: number])[] {
  const all: [number, number, number][] = [];
  for (let day = from; day < until; day++) {
    const share = Math.round(shareOn(Math.floor(day)) * 20) / 20;
    const last = all.at(-1);
    if (last && last[2] === share) last[1] = Math.min(until, day + 1);
    else all.push([day, Math.min(until, day + 1), share]);
  }
  return all.filter(([, , share]) => share > 0);
}
