import type { RepeatBounds } from "@/core/advice/planning/bounds";
import type { Beyond, HelpScore } from "@/core/advice/planning/compare";
import type { DatedSchedule } from "@/core/advice/plans/schedules";
import type { Blame, Cause } from "@/core/advice/planning/why";
import { inTen, percent } from "../chances";
import { dayCount, dayInWords } from "../../dates";
import { approachNames, stageNames, wayNames } from "../../names/names";

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
      "No interval can be given: nothing develops at this temperature, or the remedy reaches no stage before it lays.",
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
    ? "These dates matter here: most of what may survive is out of the remedy’s reach until it hatches or emerges."
    : "These dates matter little here: most of what may survive is missed for other reasons than eggs outlasting the treatments.";
}

/** A share as a keeper would say it. @example shareInWords(0.88) // "nine in ten" */
function shareInWords(share: number): string {
  const tenths = Math.round(share * 10);
  const numbers = ["hardly any", "one", "two", "three", "four", "half", "six", "seven", "eight", "nine", "nearly all"];
  return tenths === 0 || tenths === 5 || tenths === 10 ? numbers[tenths]! : `${numbers[tenths]} in ten`;
}

const survives: Record<Cause, string> = {
  missed: "is missed where you treat, a little each time",
  outOfReach: "are eggs or hidden stages that the remedy does not kill",
  deep: "sits deep, where no brush or spray reaches however often",
  untreated: "sits where you do not treat: at the roots or on the pot",
};

const helpWords: Record<HelpScore["id"], string> = {
  dunk: "With a dunk on the first day",
  unpot: "Unpotted, washed and put into new mix on the first day",
  prune: "With the worst part cut off on the first day",
  systemic: "With a systemic through the roots on the first day, where it is permitted and nothing is eaten",
  loupe: "Dabbed with a loupe in the other hand",
};

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const small = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

/** What looks come to: "6 in 10 that the looks are clean, and then it is 98 % sure". */
export function looksInWords({ pClean, sure }: Pick<DatedSchedule, "pClean" | "sure">): string {
  return `${inTen(pClean)} that the looks after it are clean, and then it is ${percent(sure)} sure`;
}

const counts = [
  "",
  "once",
  "twice",
  "three times",
  "four times",
  "five times",
  "six times",
  "seven times",
  "eight times",
];
const ordinals = [
  "",
  "",
  "every second day",
  "every third day",
  "every fourth day",
  "every fifth day",
  "every sixth day",
];

/** How often and until when: "every fourth day, five times (until Fri 18 Dec)". */
export function rhythmInWords({ dates, intervalDays }: Pick<DatedSchedule, "dates" | "intervalDays">): string {
  const days = [...new Set(dates)];
  if (days.length === 0) return "no treatment";
  const times = counts[days.length] ?? `${days.length} times`;
  if (days.length === 1) return `${times}, on ${dayInWords(days[0]!)}`;
  const weeks = intervalDays === 7 ? "weekly" : intervalDays === 14 ? "every second week" : null;
  const every = weeks ?? ordinals[intervalDays] ?? (intervalDays > 0 ? `every ${intervalDays} days` : null);
  return `${[...(every ? [every] : []), times].join(", ")} (until ${dayInWords(days.at(-1)!)})`;
}

/** A plan in one sentence, with what comes after it where it fails. `named`: its name says already how often. */
export function planSentence(name: string, schedule: DatedSchedule, named = false): string {
  const { dates, looks, reaches } = schedule;
  if (dates.length === 0) {
    return `Nothing more to do but look, for the last time on ${dayInWords(looks.at(-1)!)}: ${inTen(schedule.pClean)} that the looks are clean, and then it is ${percent(schedule.sure)} sure. If they are not, treat what they find.`;
  }
  const enough = reaches ? "" : ", which is below your target";
  const rhythm = named ? ` (until ${dayInWords(dates.at(-1)!)})` : `, ${rhythmInWords(schedule)}`;
  return `${name}${rhythm}: ${looksInWords(schedule)}${enough}. If they are not, continue from what you find.`;
}

/** Why these dates do what they do: what would be left at the end and for what reason, and what would change that. */
export function whySentences(why: Blame, help: HelpScore | null): string[] {
  const [first, second] = why;
  if (!first) return ["Probably nothing is left."];
  const more = second && second.share >= 0.2 ? `; ${shareInWords(second.share)} ${survives[second.cause]}` : "";
  const sentence = `${capital(shareInWords(first.share))} of what may survive ${survives[first.cause]}${more}.`;
  return [sentence, ...(help ? [`${helpWords[help.id]}: ${looksInWords(help)}.`] : [])];
}

/** What would get there where no way at hand does. Giving up is no answer of it. */
export function beyondSentences({ approach, pClean, sure, helps, bottles }: Beyond): string[] {
  return [
    `The surest option you have is ${small(wayNames[approach])}: ${looksInWords({ pClean, sure })}.`,
    ...helps.map((help) => `${helpWords[help.id]}: ${looksInWords(help)}.`),
    ...(bottles.length > 0
      ? [`With a bottle you do not have: ${bottles.map((id) => small(approachNames[id])).join("; or ")}.`]
      : []),
  ];
}
