import { petalsFor } from "@/core/model/clearance/petals";
import * as assessments from "@/db/stores/cases/assessments";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, type Context } from "../../shared/context";
import { stillHolds } from "../../collections/settings";
import { judge, judgedNow } from "../judgements";
import { recordsOf } from "../../plants/plantRecords";

/**
 * Judges anew every open case whose judgement is not of today, of this model and of the facts as they are, and keeps it. No
 * lock is held while it reckons: what a command changes meanwhile is judged again. Gives the number of cases judged.
 * `more` says whether to go on to the next; a job that is to end stops between two.
 */
export async function judgeStale(context: Context, more: () => boolean = () => true): Promise<number> {
  const scope = scopeOf(context, "record");
  const now = judgedNow(context);
  const open = await assessments.toJudge(scope, now);
  const plantIds = [...new Set(open.map(({ plantId }) => plantId))];
  let judgedCases = 0;
  for (const plantId of plantIds) {
    if (!more()) break;
    const { records } = await recordsOf(scope, [plantId]);
    const record = records[0];
    if (!record) continue;
    const petals: number[] = [];
    const judgements: assessments.AssessmentRow[] = [];
    for (const found of record.cases.filter((one) => one.open)) {
      const judged = judge(context, record, found);
      petals.push(petalsFor(judged.ok ? judged.judgement.assessment.pClear : 0));
      const { factsVersion } = record;
      // Written and read back as plain data.
      const result = JSON.parse(JSON.stringify(judged)) as assessments.AssessmentRow["result"];
      judgements.push({ caseId: found.id, plantId, factsVersion, ...now, result });
    }
    const kept = await keep(context, judgements, petals);
    if (!kept) break;
    judgedCases += judgements.length;
  }
  return judgedCases;
}

/** Keeps the judgements of a plant's cases; false where the settings they were made by hold no more: nothing is kept then. */
function keep(
  context: Context,
  judgements: readonly assessments.AssessmentRow[],
  petals: readonly number[],
): Promise<boolean> {
  return context.sequelize.transaction({ transaction: context.batch?.transaction ?? null }, async (transaction) => {
    const scope = scopeOf(context, "record", transaction);
    if (!(await stillHolds(context, scope))) return false;
    for (const one of judgements) await assessments.keep(scope, one);
    const [first] = judgements;
    if (first) await plantStates.putPetals(scope, first.plantId, Math.min(...petals), first.factsVersion);
    return true;
  });
}
