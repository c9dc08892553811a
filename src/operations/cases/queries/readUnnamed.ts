import type { PlanAcrossSuspectsQuestion } from "@/core/advice/unnamed/planAcrossSuspects";
import type { Plan } from "@/core/advice/plans/plans";
import { inQuestionOf, planOfUnnamed, unnamedOn, type InQuestion, type Unnamed } from "@/core/advice/unnamed/unnamed";
import { priorsFor } from "@/core/advice/diagnosis/priors";
import type { Plant } from "@/core/record/facts/descriptions";
import { today, type Context } from "../../shared/context";
import { waysOf } from "../judgements";
import { readNaming } from "../../looks/queries/readNaming";
import { readPlant } from "../../plants/queries/readPlant";

export interface UnnamedView {
  readonly plant: Plant;
  /** Null where nothing on it is open without a name. */
  readonly open:
    | (Unnamed & {
        readonly about: InQuestion;
        readonly question: PlanAcrossSuspectsQuestion;
        readonly plan: Plan | null;
      })
    | null;
}

/** What is open without a name on a plant; null when there is no such plant. */
export async function readUnnamed(context: Context, asked: string): Promise<UnnamedView | null> {
  const view = await readPlant(context, asked);
  if (!view) return null;
  const { plant, record, on, courses } = view;
  const open = unnamedOn(record.looks);
  if (!open) return { plant, open: null };
  const { circumstances } = await readNaming(context, view);
  const { form, meanC } = circumstances;
  const day = today(context);
  const about = inQuestionOf(open, priorsFor(circumstances), form, day);
  const { clearTarget: target, workDays } = waysOf(context.collection);
  const { candidates, none } = about;
  const question = { candidates, none, form, meanC, today: day, workDays, target, courses, on };
  return { plant, open: { ...open, about, question, plan: planOfUnnamed(record) } };
}
