import type { LastingEvent } from "../population/events";
import type { Pest } from "../pests/pests";
import type { LastingRemedy } from "../remedies/lasting";

/**
 * A lasting remedy as the model takes it, from `atDays` (days since day 0) on, an event for each of its phases; nothing where it
 * does not touch the pest.
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
): readonly LastingEvent[] {
  const rates = (dailyHazard as Readonly<Record<string, Readonly<Record<string, number>> | undefined>>)[pest.id];
  if (!rates) return [];
  return phases.map(([from, until, share]) => ({
    kind: "lasting",
    atDays: atDays + from,
    untilDays: atDays + until,
    effect: { dailyHazard: pest.stages.map((stage) => share * (rates[stage.id] ?? 0)), layFactor: 1 },
  }));
}
