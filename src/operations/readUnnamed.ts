import type { AgainstAllQuestion } from "@/core/case/againstAll";
import type { Plan } from "@/core/case/plans";
import { inQuestionOf, planOfUnnamed, unnamedOn, type InQuestion, type Unnamed } from "@/core/case/unnamed";
import { priorsFor } from "@/core/diagnosis/priors";
import type { Plant } from "@/core/facts/descriptions";
import { today, type Context } from "./context";
import { waysOf } from "./parts/judgements";
import { readNaming } from "./readNaming";
import { readPlant } from "./readPlant";

export interface UnnamedView {
  readonly plant: Plant;
  /** Null where nothing on it is open without a name. */
  readonly open:
    | (Unnamed & { readonly about: InQuestion; readonly question: AgainstAllQuestion; readonly plan: Plan | null })
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
