import type { AgainstAllAnswer } from "@/core/case/againstAll";
import type { AnswerMeans, InQuestion } from "@/core/case/unnamed";
import { percent } from "./chances";
import { dayCount } from "./dates";
import { pestNames, suspectName } from "./names";
import { signNames } from "./signs";

/** "Spider mites 48 %, thrips 31 %, or neither 21 %." */
export function candidatesSentence({ candidates, none, unreckoned }: InQuestion): string {
  const named = candidates.map(({ pest, p }) => `${pestNames[pest].toLowerCase()} ${percent(p)}`);
  const rest = [
    ...(unreckoned >= 0.05 ? [`something for which no dates are reckoned ${percent(unreckoned)}`] : []),
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
export function soapSentence({ soapOnce: { pOver, asManyAfterDays } }: AgainstAllAnswer): string {
  const until =
    asManyAfterDays === null ? "" : ` After about ${dayCount(asManyAfterDays)} there would be as many again.`;
  return `One soap wash now buys a few better days, and ends it with ${percent(pOver)}.${until}`;
}
