import { petalsFor } from "@/core/clearance/petals";
import * as assessments from "@/db/stores/assessments";
import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, type Context } from "./context";
import { judge, judgedNow } from "./parts/judgements";
import { recordsOf } from "./parts/plantRecords";

/**
 * Judges anew every open case whose judgement is not of today, of this model and of the facts as they are, and keeps it. No
 * lock is held while it reckons: what a deed changes meanwhile is judged again. Gives the number of cases judged.
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
    for (const found of record.cases.filter((one) => one.open)) {
      const judged = judge(context, record, found);
      petals.push(petalsFor(judged.ok ? judged.judgement.assessment.pClear : 0));
      const { factsVersion } = record;
      // Written and read back as plain data.
      const result = JSON.parse(JSON.stringify(judged)) as assessments.AssessmentRow["result"];
      await assessments.keep(scope, { caseId: found.id, plantId, factsVersion, ...now, result });
      judgedCases++;
    }
    if (petals.length > 0) await plantStates.putPetals(scope, plantId, Math.min(...petals), record.factsVersion);
  }
  return judgedCases;
}
