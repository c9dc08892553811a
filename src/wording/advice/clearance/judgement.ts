import type { Judgement } from "@/core/advice/clearance/judge";
import type { Day } from "@/core/shared/days";
import type { PestId } from "@/core/knowledge/pests/pests";
import { inTen, percent } from "../chances";
import { dayInWords } from "../../dates";
import { pestNames } from "../../names/names";
import { numberInWords } from "../../numbers";
import { looksInWords } from "../planning/planning";

/** A way it may be with less weight than this does not widen the span. */
const COUNTS_FROM = 0.02;

/**
 * How sure one may be, and what would make it surer with the chance of getting there: "83 % likely over; two clean looks, the next on
 * Sat 12 Dec, would make it 96 %: 7 in 10 that they are clean."
 */
export function surenessSentence({ assessment, sureAfter }: Judgement): string {
  const p = percent(assessment.pClear);
  const now = `${p[0]!.toUpperCase()}${p.slice(1)} likely over${spanOf(assessment)}`;
  if (!sureAfter) return `${now}.`;
  const { looks, next, pClean, sure } = sureAfter;
  const which = looks === 1 ? "a clean look" : `${numberInWords(looks)} clean looks a week apart`;
  const when = `${looks === 1 ? "on" : "the next on"} ${dayInWords(next)}`;
  return `${now}; ${which}, ${when}, would make it ${percent(sure)}: ${inTen(pClean)} that ${looks === 1 ? "it is" : "they are"} clean.`;
}

/** How sure the number is of itself: its span over the ways it may be that still have weight; empty where they agree. */
function spanOf({ weights, scenarioPClear }: Judgement["assessment"]): string {
  const counting = scenarioPClear.filter((_, k) => weights[k]! >= COUNTS_FROM);
  const [low, high] = [Math.min(...counting), Math.max(...counting)];
  if (!(high - low >= 0.05)) return "";
  return ` (between ${percent(low)} and ${percent(high)}, depending on how much your treatments miss and how well the pest breeds)`;
}

/** What the finds say about the keeper's hand; null while they say nothing new. */
export function reachSentence({ assessment: { reach } }: Judgement): string | null {
  if (!reach) return null;
  const [misses = 0, , thorough = 0] = reach;
  if (misses > 0.6) {
    return "Your finds since suggest that your treatments miss about twice as much as they should: check the wall side, the joints, the undersides.";
  }
  if (thorough > 0.6) return "Your finds since suggest that your treatments reach more than most.";
  return null;
}

/** What is left of a plan comes to this, against what it promised; and why. */
export function outlookSentences(
  { asItStands, behind }: NonNullable<Judgement["outlook"]>,
  promised: { readonly pClean: number; readonly sure: number } | null,
  changed: { lateDays: number; foundOn: Day | null; warmerByC: number },
  pest: PestId,
): string[] {
  const last = dayInWords(asItStands.looks.at(-1)!);
  const sentences = [
    behind
      ? `If you keep to it from today, even clean looks afterwards would not make it sure enough: ${percent(asItStands.sure)} on ${last}.`
      : `If you keep to it from today: ${looksInWords(asItStands)}, on ${last}.`,
  ];
  if (promised !== null && Math.abs(promised.pClean - asItStands.pClean) >= 0.1) {
    sentences.push(`When you adopted it: ${inTen(promised.pClean)} that they are clean.`);
  }
  if (changed.lateDays > 0) {
    sentences.push(changed.lateDays === 1 ? "A step is one day late." : `A step is ${changed.lateDays} days late.`);
  }
  if (changed.foundOn) sentences.push(`${pestNames[pest]} were found again on ${dayInWords(changed.foundOn)}.`);
  if (Math.abs(changed.warmerByC) >= 0.5) {
    const by = Math.round(Math.abs(changed.warmerByC) * 10) / 10;
    sentences.push(
      `It is ${by} °C ${changed.warmerByC > 0 ? "warmer" : "cooler"} here than then, so the pest is ${changed.warmerByC > 0 ? "faster" : "slower"}.`,
    );
  }
  return sentences;
}
