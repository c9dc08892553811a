import type { Lasting } from "@/core/advice/household/cupboard";
import { dayInWords } from "../dates";
import { activeNames } from "../names/household";
import { volumeIn, type Units } from "../units";

/** What is to be bought, and by when. */
export function lastingSentence({ active, neededMl, leftMl, shortOn, missingMl }: Lasting, units: Units): string {
  const name = activeNames[active];
  if (leftMl === null) return `${name}: ${volumeIn(neededMl, units)} planned; how much is left is not known.`;
  if (!shortOn)
    return `${name}: ${volumeIn(neededMl, units)} planned, ${volumeIn(leftMl, units)} left: that is enough.`;
  return `${name}: buy ${volumeIn(missingMl, units)} by ${dayInWords(shortOn)} (${volumeIn(neededMl, units)} planned, ${volumeIn(leftMl, units)} left).`;
}

/** What a session lacks. @example "Plain soap: you need 10 mL and have 4 mL left. Get more before you mix." */
export function shortSentence({ active, neededMl, leftMl }: Lasting, units: Units): string {
  const left = leftMl ? `have ${volumeIn(leftMl, units)} left` : "have none";
  return `${activeNames[active]}: you need ${volumeIn(neededMl, units)} and ${left}. Get more before you mix.`;
}
