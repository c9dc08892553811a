import { minutesIn } from "@/core/advice/evening/hours";
import type { Wait } from "@/core/advice/evening/wait";
import { shortObjections } from "./cautions";
import { dayInWords } from "../dates";
import { labelSentence } from "../record/problems";
import { assertNever } from "@/core/shared/assertNever";
import { plantsInWords } from "../names/plants";

/** Why a treatment must wait. */
export function waitSentence(wait: Wait): string {
  switch (wait.code) {
    case "against":
      return shortObjections[wait.objection];
    case "label":
      return labelSentence(wait.objection);
    case "too_hot":
      return `${Math.round(wait.celsius)} °C where it stands: too hot`;
    case "sodden":
      return `its mix was drenched on ${dayInWords(wait.soakedOn)}: let it dry first`;
    default:
      return assertNever(wait);
  }
}

const DAY_MINUTES = 24 * 60;

/** What a clock shows so many minutes later; past midnight it says so. @example clockAfter("23:30", 60) // "tomorrow 00:30" */
export function clockAfter(from: string, minutes: number): string {
  const all = minutesIn(from) + minutes;
  const two = (n: number) => String(n).padStart(2, "0");
  const days = Math.floor(all / DAY_MINUTES);
  const clock = `${two(Math.floor((all % DAY_MINUTES) / 60))}:${two(all % 60)}`;
  if (days === 0) return clock;
  return days === 1 ? `tomorrow ${clock}` : `${clock}, ${days} days on`;
}

/** What has to wait, and for what. */
export function waitsFor(left: readonly { readonly why: "time" | "drying" }[]): string {
  const drying = left.filter(({ why }) => why === "drying").length;
  const time = left.length - drying;
  const parts = [
    ...(time > 0 ? [`${plantsInWords(time)} for lack of time`] : []),
    ...(drying > 0 ? [`${plantsInWords(drying)} for lack of drying space`] : []),
  ];
  return `Another evening: ${parts.join(", ")}.`;
}

/** Why a keeper leaves a plant out tonight: what only they see. */
export const outReasons = ["sodden", "sun", "watered", "other"] as const;
export type OutReason = (typeof outReasons)[number];
export const outReasonNames: Record<OutReason, string> = {
  sodden: "Its mix is sodden",
  sun: "Sun or lamps still on it",
  watered: "It is thirsty: water it first",
  other: "Not tonight",
};
