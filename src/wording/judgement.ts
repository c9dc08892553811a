import type { Judgement } from "@/core/case/judge";
import type { Day } from "@/core/climate/days";
import type { PestId } from "@/core/pests/pests";
import { percent } from "./chances";
import { dayInWords } from "./dates";
import { pestNames } from "./names";

/** A way it may be with less weight than this does not widen the span. */
const COUNTS_FROM = 0.02;

const numbers = ["no", "one", "two", "three", "four"];

/** How sure one may be, and what would make it surer: "83 % likely over; two clean looks would make it 96 %, the next on Sat 12 Dec." */
export function surenessSentence({ assessment, sureAfter }: Judgement): string {
  const p = percent(assessment.pClear);
  const now = `${p[0]!.toUpperCase()}${p.slice(1)} likely over${spanOf(assessment)}`;
  if (!sureAfter) return `${now}.`;
  const { looks, next, pClear } = sureAfter;
  const which = looks === 1 ? "one clean look" : `${numbers[looks]} clean looks a week apart`;
  return `${now}; ${which} would make it ${percent(pClear)}, ${looks === 1 ? "on" : "the next on"} ${dayInWords(next)}.`;
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
    return "What you have found since suggests that your treatments miss about twice as much as they should: the wall side, the joints, the undersides.";
  }
  if (thorough > 0.6) return "What you have found since suggests that your treatments reach more than most do.";
  return null;
}

/** What is left of a plan comes to this, against what it promised; and why. */
export function outlookSentences(
  outlook: NonNullable<Judgement["outlook"]>,
  promised: number | null,
  changed: { lateDays: number; foundOn: Day | null; warmerByC: number },
  pest: PestId,
): string[] {
  const sentences = [
    `Kept to from today on, this plan ends it with ${percent(outlook.pOver)} by ${dayInWords(outlook.by)}.`,
  ];
  if (promised !== null && Math.abs(promised - outlook.pOver) >= 0.02) {
    sentences.push(`It promised ${percent(promised)} when you adopted it.`);
  }
  if (changed.lateDays > 0) {
    sentences.push(changed.lateDays === 1 ? "A step is a day late." : `A step is ${changed.lateDays} days late.`);
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
