import type { RepeatBounds } from "@/core/planning/bounds";
import type { Beyond } from "@/core/planning/compare";
import type { HelpId } from "@/core/planning/helps";
import type { Blame, Cause } from "@/core/planning/why";
import { percent } from "./chances";
import { dayCount } from "./dates";
import { approachNames, stageNames } from "./names";

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

/** When the two bounds are what decides, and when they are not. */
export function bindingSentence(why: Blame): string {
  const outOfReach = why.find(({ cause }) => cause === "outOfReach")?.share ?? 0;
  return outOfReach >= 0.5
    ? "Here they decide: most of what may survive is out of the remedy’s reach until it hatches or comes up."
    : "Here they decide little: they only say when eggs outlast the treatments, and most of what may survive is missed for other reasons.";
}

/** A share as a keeper would say it. @example shareInWords(0.88) // "nine in ten" */
function shareInWords(share: number): string {
  const tenths = Math.round(share * 10);
  const numbers = ["hardly any", "one", "two", "three", "four", "half", "six", "seven", "eight", "nine", "nearly all"];
  return tenths === 0 || tenths === 5 || tenths === 10 ? numbers[tenths]! : `${numbers[tenths]} in ten`;
}

const survives: Record<Cause, string> = {
  missed: "is missed where the hand goes, a little each time",
  outOfReach: "are eggs or hidden stages that the remedy does not kill",
  deep: "sits deep, where no brush and no spray comes however often",
  untreated: "sits where the hand does not go: at the roots or on the pot",
};

const helpWords: Record<HelpId | "loupe", string> = {
  dunk: "A dunk once, on the first day, makes it",
  unpot: "Unpotted, washed and put into new mix on the first day, it comes to",
  systemic:
    "Where it is permitted, and never on what will be eaten, a systemic through the roots on the first day makes it",
  loupe: "Dabbed with a loupe in the other hand it comes to",
};

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Why these dates do what they do: what would be left at the end and for what reason, and what would change that. */
export function whySentences(why: Blame, help: { id: HelpId; pOver: number } | null): string[] {
  const [first, second] = why;
  if (!first) return ["Nothing is likely to be left."];
  const more = second && second.share >= 0.2 ? `; ${shareInWords(second.share)} ${survives[second.cause]}` : "";
  const sentence = `${capital(shareInWords(first.share))} of what may survive ${survives[first.cause]}${more}.`;
  return [sentence, ...(help ? [`${helpWords[help.id]} ${percent(help.pOver)}.`] : [])];
}

/** What would reach the target where nothing does. */
export function beyondSentences({ approach, pOver, helps }: Beyond): string[] {
  const best = `The most that spraying and dabbing come to here is ${percent(pOver)} (${approachNames[approach].toLowerCase()}).`;
  const giveUp = "Giving the plant up, or taking a clean cutting, ends it for the others at once.";
  return [best, ...helps.map(({ id, pOver: chance }) => `${helpWords[id]} ${percent(chance)}.`), giveUp];
}
