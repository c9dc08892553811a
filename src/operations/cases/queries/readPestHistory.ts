import { remediesIn } from "@/core/knowledge/mixes/mixes";
import { standing } from "@/core/record/facts/facts";
import type { OutcomeId } from "@/core/record/facts/kinds/closing";
import type { PestId } from "@/core/knowledge/pests/pests";
import type { RemedyId } from "@/core/knowledge/remedies/remedies";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import { scopeOf, today, type Context } from "../../shared/context";
import { placesAsTheyStand } from "../../places/placesAsTheyStand";

/** What a collection's own record says of a pest. */
export interface PestHistory {
  /** Closed cases by how they ended. */
  readonly ended: Readonly<Record<OutcomeId, number>>;
  /** Of those that were called clear, how many had each remedy put on. */
  readonly clearWith: readonly { readonly remedy: RemedyId; readonly cases: number }[];
  /** The mean of what is known of the warmth of its places, °C; null where nothing is known. */
  readonly meanC: number | null;
}

/** How cases of a pest have ended in this collection, and with what. */
export async function readPestHistory(context: Context, pest: PestId): Promise<PestHistory> {
  const scope = scopeOf(context, "read");
  const [closed, places] = await inParallel(
    scope,
    () => facts.all(scope, "closing"),
    () => placesAsTheyStand(scope, today(context)),
  );
  const own = standing(closed).filter((one) => one.pest === pest);
  const acts = await facts.of(scope, "act", "plantId", [...new Set(own.map(({ plantId }) => plantId))]);
  const ended = { clear: 0, givenUp: 0, lost: 0 };
  for (const { outcome } of own) ended[outcome]++;
  const clear = new Set(own.filter(({ outcome }) => outcome === "clear").map(({ caseId }) => caseId));
  const used = new Map<RemedyId, Set<string>>();
  for (const { act, caseId } of standing(acts)) {
    if (act.kind !== "contact" || caseId === null || !clear.has(caseId)) continue;
    for (const remedy of remediesIn(act.mix)) used.set(remedy, (used.get(remedy) ?? new Set()).add(caseId));
  }
  const warm = places.flatMap(({ meanC }) => (meanC === null ? [] : [meanC]));
  return {
    ended,
    clearWith: [...used]
      .map(([remedy, cases]) => ({ remedy, cases: cases.size }))
      .toSorted((a, b) => b.cases - a.cases),
    meanC: warm.length > 0 ? warm.reduce((sum, meanC) => sum + meanC, 0) / warm.length : null,
  };
}
