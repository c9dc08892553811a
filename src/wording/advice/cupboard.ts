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

/** What a session lacks. @example "Plain soap: this takes 10 mL, and 4 mL is left in your cupboard." */
export function shortSentence({ active, neededMl, leftMl }: Lasting, units: Units): string {
  const left = leftMl
    ? `and ${volumeIn(leftMl, units)} is left in your cupboard`
    : "and there is none in your cupboard";
  return `${activeNames[active]}: this takes ${volumeIn(neededMl, units)}, ${left}.`;
}
