import type { Case } from "@/core/record/cases/cases";
import { handIn, reachBefore } from "@/core/record/cases/techniqueHand";
import type { Closing } from "@/core/record/facts/facts";
import type { CloseCase } from "@/core/record/facts/kinds/closing";
import * as facts from "@/db/stores/record/facts";
import type { Judged } from "@/core/advice/clearance/judge";
import { may } from "@/core/access/roles";
import { dayOf, scopeOf, type Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { lockOpenCase, momentOn } from "../../shared/checks";
import { caseOnRecord } from "../caseOnRecord";
import { judge, judgementOf } from "../judgements";
import type { KeptRecord } from "../../plants/plantRecords";

/** Closes a case. Whether it is clear is the keeper's decision; the application shows what speaks against it. */
export async function closeCase(context: Context, command: CloseCase): Promise<Outcome<{ id: string }>> {
  const before = await judgedBefore(context, command.caseId);
  return transact(context, "record", command.id, async (scope) => {
    if (await scope.wasSent("closing", command.id)) return { id: command.id };
    const { found, record } = await lockOpenCase(scope, command.caseId);
    const at = momentOn(context, record.plant, command.at, false);
    // A closing before the last find would leave that find open.
    const last = found.finds.at(-1)!;
    if (dayOf(context, at) < dayOf(context, last)) refuse("at", "before_last_find");
    const { plantId, pest, id: caseId } = found;
    const closedAt = at < last ? last : at;
    const still = before?.factsVersion === record.factsVersion;
    const reckoned = shown(context, record, found, still ? before.judged : judge(context, record, found));
    await facts.add(scope, "closing", [{ ...command, caseId, plantId, pest, at: closedAt, ...reckoned }]);
    scope.invalidateBeside([plantId]);
    return { id: command.id };
  });
}

/**
 * What a case comes to, of the facts as they are before anything is held: a long one takes a good part of a second, in which nobody else could
 * write anything down of its plant. What changes meanwhile is reckoned again. Null where there is no such case, or nothing may be recorded.
 */
async function judgedBefore(context: Context, caseId: string) {
  if (!may(context.role, "record")) return null;
  const scope = scopeOf(context, "record");
  const known = await caseOnRecord(scope, caseId);
  if (!known?.found.open) return null;
  const { record, found } = known;
  return { factsVersion: record.factsVersion, judged: await judgementOf(context, scope, record, found) };
}

/**
 * What the case has told: how likely it is over, and of the hand that treated it. Null for what cannot be reckoned, and for the
 * hand where it was not treated.
 */
function shown(context: Context, record: KeptRecord, found: Case, judged: Judged): Pick<Closing, "pClear" | "reach"> {
  const hand = handIn(found, record.acts);
  if (!judged.ok) return { pClear: null, reach: null };
  const { pClear, reach: weights } = judged.judgement.assessment;
  if (!hand || !weights) return { pClear, reach: null };
  const prior = reachBefore(found, record.acts, record.shownReach, context.collection) ?? undefined;
  return { pClear, reach: { technique: hand.technique, weights: [...weights], ...(prior && { prior }) } };
}
