import type { RepeatBounds } from "@/core/planning/bounds";
import { dayCount } from "./dates";
import { stageNames } from "./names";

const list = (stages: readonly string[]) => stages.map((id) => stageNames[id] ?? id).join(", ");

/** The two bounds in words, with what they were reckoned from. */
export function boundSentences(bounds: RepeatBounds): string[] {
  const sentences: string[] = [];
  if (bounds.repeatWithinDays !== null) {
    sentences.push(
      `Repeat within ${dayCount(bounds.repeatWithinDays)}: from within reach (${list(bounds.reachableStages)}) to first eggs or young.`,
    );
  } else
    sentences.push(
      "No interval can be given: nothing grows at this temperature, or the remedy reaches no stage before laying.",
    );
  if (bounds.keepOnDays !== null) {
    sentences.push(
      `Keep on for longer than ${dayCount(bounds.keepOnDays)}: the longest stage it does not reach (${list(bounds.unreachedStages)}).`,
    );
  }
  return sentences;
}
