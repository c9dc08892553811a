import type { PlanAcrossSuspectsAnswer } from "@/core/advice/unnamed/planAcrossSuspects";
import type { AnswerMeans, InQuestion } from "@/core/advice/unnamed/unnamed";
import { percent } from "../chances";
import { dayCount } from "../../dates";
import { pestNames, suspectName } from "../../names/names";
import { signNames } from "../../names/signs";

/** "Spider mites 48 %, thrips 31 %, or neither 21 %." */
export function candidatesSentence({ candidates, none, unreckoned }: InQuestion): string {
  const named = candidates.map(({ pest, p }) => `${pestNames[pest].toLowerCase()} ${percent(p)}`);
  const rest = [
    ...(unreckoned >= 0.05 ? [`something without dates ${percent(unreckoned)}`] : []),
    `${candidates.length === 2 ? "neither" : "none of them"} ${percent(none)}`,
  ];
  const all = [...named, ...rest];
  return `By its signs: ${all.slice(0, -1).join(", ")}, or ${all.at(-1)!}.`;
}

/** What an answer of the test would make of it. */
export function answerSentence({ sign, likeliest, p }: AnswerMeans): string {
  const what = likeliest ? suspectName(likeliest).toLowerCase() : "nothing of these";
  return `${sign ? signNames[sign] : "None of it"}: most likely ${what}, ${percent(p)}.`;
}

/** A soap wash at nothing in particular, called what it is. */
export function soapSentence({ soapOnce: { pOver, asManyAfterDays } }: PlanAcrossSuspectsAnswer): string {
  const until =
    asManyAfterDays === null ? "" : ` After about ${dayCount(asManyAfterDays)} there would be as many again.`;
  return `One soap wash now gives it a few better days, and ends it with ${percent(pOver)}.${until}`;
}
