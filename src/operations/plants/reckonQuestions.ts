import { Courses } from "@/core/model/carriage/carriageHistories";
import { pestOf, type PestId } from "@/core/knowledge/pests/pests";
import { reckonOne, type ReckonAll } from "@/core/advice/spread/carries";

export type { ReckonAll };
export type Questions = Parameters<ReckonAll>[0];

/** What plants share need not be followed again for each of them, in this helping or the next. */
const courses = new Courses();

/** Reckons questions about what plants carry one after the other; they may come from another thread, which reads nothing else. */
export function reckonQuestions(questions: Questions): Awaited<ReturnType<ReckonAll>> {
  return questions.map((question) => reckonOne({ ...question, pest: pestOf(question.pest.id as PestId) }, courses));
}
