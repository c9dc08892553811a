import {
  drawsOf,
  fromBottles,
  levelsOf,
  type FromBottle,
  type Level,
  type Use,
} from "@/core/advice/household/cupboard";
import { standing } from "@/core/record/facts/facts";
import type { Scope } from "@/db/connection";
import * as facts from "@/db/stores/record/facts";
import { instantOf } from "@/zones";
import { today, type Context } from "../shared/context";

/** What has come out of the bottles since the first of them was opened, and how they stand by it. Without bottles nothing is read. */
export async function levelsNow(
  context: Context,
  scope: Scope,
): Promise<{ readonly from: readonly FromBottle[]; readonly levels: readonly Level[] }> {
  const { bottles, alcoholPercent, timeZone } = context.collection;
  // What was used before any bottle was opened came from none of them.
  const opened = bottles.flatMap(({ openedOn }) => openedOn ?? []).toSorted()[0];
  const acts = opened ? await facts.from(scope, "act", instantOf(`${opened}T00:00`, timeZone)) : [];
  const uses = standing(acts).map(({ day, act, caseId }): Use => ({ day, act, caseId }));
  const from = fromBottles(drawsOf(uses, { bottles, alcoholPercent }), bottles);
  return { from, levels: levelsOf(from, bottles, today(context)) };
}
