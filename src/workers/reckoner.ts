import { expose } from "comlink";
import {
  compareFor,
  datesFor,
  decideFor,
  detailFor,
  outOfSeasonFor,
  promiseOf,
  type DatedComparison,
  type DatedDecision,
  type DatedProgress,
  type DecisionQuestion,
  type OutOfSeasonQuestion,
  type PlanQuestion,
} from "@/core/advice/plans/ask";
import {
  planAcrossSuspects,
  type PlanAcrossSuspectsAnswer,
  type PlanAcrossSuspectsQuestion,
} from "@/core/advice/unnamed/planAcrossSuspects";
import { blameCase, drawCase, type DatedDose } from "@/core/advice/plans/draw";
import { explain, type Around } from "@/core/advice/clearance/escalation";
import type { OnPlant } from "@/core/advice/plans/onPlant";
import type { DatedSchedule } from "@/core/advice/plans/schedules";
import { caseFile, type CaseFileInput } from "@/core/record/format/schema";
import { pClearIf, type Supposition } from "@/core/advice/clearance/whatIf";
import type { Day } from "@/core/shared/days";
import type { Dose } from "@/core/advice/planning/doses";

/** The core's heavy reckoning, out of the page's way. Case files go in, plain data comes out. */
const reckoner = {
  draw: (file: CaseFileInput, coming: readonly DatedDose[], until: Day, on: OnPlant | null, certain = true) =>
    drawCase(caseFile.parse(file), coming, until, on, certain),
  blame: (file: CaseFileInput, coming: readonly DatedDose[], until: Day) =>
    blameCase(caseFile.parse(file), coming, until),
  whatIf: (file: CaseFileInput, supposition: Supposition) => pClearIf(caseFile.parse(file), supposition),
  dates: (file: CaseFileInput, question: PlanQuestion, dose: Dose, lists: readonly (readonly Day[])[]) =>
    datesFor(caseFile.parse(file), question, dose, lists),
  promise: (file: CaseFileInput, question: PlanQuestion, dates: readonly Day[], doses: readonly Dose[]) =>
    promiseOf(
      caseFile.parse(file),
      question,
      dates.map((day, i) => ({ day, dose: doses[i]! })),
    ),
  detail: (file: CaseFileInput, question: PlanQuestion, schedule: Pick<DatedSchedule, "dates" | "doses">) =>
    detailFor(caseFile.parse(file), question, schedule),
  compare: (
    file: CaseFileInput,
    question: PlanQuestion,
    onProgress: OnProgress<DatedProgress>,
  ): Promise<DatedComparison> => toItsEnd(compareFor(caseFile.parse(file), question), onProgress),
  outOfSeason: (file: CaseFileInput, question: OutOfSeasonQuestion) => outOfSeasonFor(caseFile.parse(file), question),
  planAcrossSuspects: (
    question: PlanAcrossSuspectsQuestion,
    onProgress: OnProgress<number>,
  ): Promise<PlanAcrossSuspectsAnswer> => toItsEnd(planAcrossSuspects(question), onProgress),
  explain: (file: CaseFileInput, around: Around) => explain(caseFile.parse(file), around),
  decide: (file: CaseFileInput, question: DecisionQuestion, onProgress: OnProgress<number>): Promise<DatedDecision> =>
    toItsEnd(decideFor(caseFile.parse(file), question), onProgress),
};

type OnProgress<P> = (progress: P) => Promise<void> | void;

/** What a long reckoning comes to; how far it is, is told as it goes. */
async function toItsEnd<P, T>(run: Generator<P, T>, onProgress: OnProgress<P>): Promise<T> {
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
    await onProgress(next.value);
  }
}

export type Reckoner = typeof reckoner;

expose(reckoner);
