import { reckonCarriage, type Carriage, type CarriageQuestion } from "../../model/carriage/carriage";
import { backgroundPerDay } from "../../model/carriage/rates";
import { isKnownPest } from "../../knowledge/pests/pests";
import { remember } from "../../shared/remember";
import type { ReckonAll } from "./carries";

/** From this chance on it is reckoned as exactly as it can be: most plants carry most pests with less. */
const WORTH_ASKING = 0.03;
/** Below it what came long ago is left out sooner, and it is right to a hundredth of itself. */
const ROUGHLY = { mayMiss: 1e-2, looks: [] } as const;

/**
 * Reckons questions, and what their looks would find. Each is asked roughly first; where that comes to something it is asked again
 * as it stands, looks and all. Where it does not, a look is taken to find the share of it that it finds of what has come from the
 * background within a month, in that warmth. `questions` of pests in the tables.
 */
export async function reckonAsked(
  questions: readonly CarriageQuestion[],
  reckonAll: ReckonAll,
): Promise<readonly (Carriage | null)[]> {
  const answers = await reckonAll(questions.map((question) => ({ ...question, ...ROUGHLY })));
  const worth = questions.filter((_, i) => (answers[i]?.pCarries ?? 0) >= WORTH_ASKING);
  const exact = new Map((await reckonAll(worth)).map((answer, i) => [worth[i]!, answer]));
  return questions.map((question, i) => {
    const answer = answers[i];
    if (!answer || exact.has(question)) return exact.get(question) ?? null;
    const looks = sharesFound(question).map((share) => {
      const pFind = share * answer.pCarries;
      return { pFind, pCarriesAfterClean: (answer.pCarries - pFind) / (1 - pFind) };
    });
    return { ...answer, looks };
  });
}

/** Kinds of plants times ways to look times degrees: more than most collections have. */
const MOST_KEPT = 5000;
const found = new Map<string, readonly number[]>();

/** Of what has come from the background within four weeks the share that each look finds, to the degree. */
function sharesFound({ pest, sites, dailyMeanC, timeStepDays, looks }: CarriageQuestion): readonly number[] {
  const meanC = Math.round(dailyMeanC.at(-1)!);
  const key = `${pest.id} ${meanC} ${JSON.stringify([sites, looks])}`;
  return remember(found, MOST_KEPT, key, () => {
    const perDay = isKnownPest(pest.id) ? backgroundPerDay[pest.id] : 1e-4;
    const stream = { route: "background", fromDays: 0, untilDays: 28, perDay };
    const month = { pest, sites, dailyMeanC: [meanC], timeStepDays, fromDays: 0, arrival: { share: 0, mean: 1 } };
    const answer = reckonCarriage({ ...month, streams: [stream], events: [], looks, asOfDays: 28 });
    return answer.looks.map(({ pFind }) => (answer.pCarries > 0 ? pFind / answer.pCarries : 0));
  });
}
