import type { LastingEvent } from "../population/events";
import type { Pest } from "../pests/pests";
import type { LastingRemedy } from "../remedies/lasting";

/**
 * A lasting remedy as the model takes it, from `atDays` (days since day 0) on; nothing where it does not touch the pest.
 * @example lastingEvents(pests.spiderMite, systemics.throughTheRoots, 0) // []
 */
export function lastingEvents(
  pest: Pest,
  { fromDay, untilDay, dailyHazard }: Pick<LastingRemedy, "fromDay" | "untilDay" | "dailyHazard">,
  atDays: number,
): readonly LastingEvent[] {
  const rates = (dailyHazard as Readonly<Record<string, Readonly<Record<string, number>> | undefined>>)[pest.id];
  if (!rates) return [];
  const effect = { dailyHazard: pest.stages.map((stage) => rates[stage.id] ?? 0), layFactor: 1 };
  return [{ kind: "lasting", atDays: atDays + fromDay, untilDays: atDays + untilDay, effect }];
}
