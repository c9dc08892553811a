import { v5 as uuidv5 } from "uuid";
import { screened, daysFrom, type DaySummary, type Doubt, type Sample } from "@/core/climate/samples";
import type { ClimateDay } from "@/core/record/facts/facts";
import * as facts from "@/db/stores/record/facts";
import { dayOf, type Context } from "../shared/context";
import type { CommandScope } from "../shared/outcome";
import { plantsWarmedBy } from "../places/placesAround";

/** Under which names ids of days are made: the same day made of the same samples is one fact, however often it is made. */
const NAMESPACE = "8c0b6a5e-3d17-4b0f-9a64-27a1f3f0c2d4";

/** How many samples were not believed, and why. */
export type Doubted = Partial<Record<Doubt, number>>;

/** Days from samples, in the collection's zone, with what was not believed. */
export function believedDays(
  context: Pick<Context, "collection" | "now">,
  samples: readonly Sample[],
): { readonly days: readonly DaySummary[]; readonly doubted: Doubted } {
  const doubted: Doubted = {};
  const judged = screened(samples, context.now);
  for (const { doubt } of judged) if (doubt) doubted[doubt] = (doubted[doubt] ?? 0) + 1;
  const believed = judged.filter(({ doubt }) => doubt === null);
  return { days: daysFrom(believed, (at) => dayOf(context, at)), doubted };
}

/**
 * Writes days of a place down; what stands there already as it is, is left. Gives how many are new. What follows from the warmth is
 * reckoned anew where any is.
 */
export async function putDays(
  scope: CommandScope,
  placeId: string,
  source: ClimateDay["source"],
  from: string,
  days: readonly DaySummary[],
): Promise<number> {
  const made = days.map(({ day, ...summary }) => {
    const content = [summary.samples, summary.hours, summary.minC, summary.maxC, summary.meanC, summary.humidity];
    const id = uuidv5(`${scope.collectionId} ${placeId} ${source} ${from} ${day} ${content.join(" ")}`, NAMESPACE);
    return { ...summary, id, placeId, forDay: day, source };
  });
  const fresh: typeof made = [];
  for (const one of made) if (!(await facts.isRecorded(scope, "climateDay", one.id))) fresh.push(one);
  if (fresh.length === 0) return 0;
  await facts.add(scope, "climateDay", fresh);
  scope.invalidate(await plantsWarmedBy(scope, placeId));
  scope.invalidateAll();
  return fresh.length;
}
