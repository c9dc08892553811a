import type { TimerId, TimerProposal } from "@/core/acts/timerIds";
import type { Day } from "@/core/shared/days";
import { fromToday, hoursInWords } from "../dates";

/** What is waited for. */
const timerNames: Record<TimerId, string> = {
  soak: "soaking",
  contact: "left to act",
  rinse: "left on",
  dark: "in the dark",
  fan: "drying by the fan",
  wait: "waiting",
};

/** What is to be done when it has rung. */
const then: Record<TimerId, string> = {
  soak: "lift it out and flush until no foam is left",
  contact: "it has been on long enough",
  rinse: "rinse it off",
  dark: "back to the light, shaded at first",
  fan: "dry: fan off, look into the crown",
  wait: "time is over",
};

const names = (codes: readonly (string | null)[]) => codes.map((code) => code ?? "The session").join(", ");

/** What has rung. @example ringsInWords("dark", ["L04"]) // "L04: back to the light, shaded at first." */
export function ringsInWords(what: TimerId, codes: readonly (string | null)[]): string {
  return `${names(codes)}: ${then[what]}.`;
}

/** What runs, and until when: wall times of the place. @example "L04: in the dark until tomorrow 19:05" */
export function runsInWords(what: TimerId, code: string | null, until: string, now: string): string {
  const [day, today] = [until.slice(0, 10) as Day, now.slice(0, 10) as Day];
  const when = day === today ? "" : `${fromToday(day, today)} `;
  return `${names([code])}: ${timerNames[what]} until ${when}${until.slice(11, 16)}`;
}

/** What a timer is started for, before its length. */
export const offers: Record<TimerId, string> = {
  soak: "Soak it for",
  contact: "Let it act for",
  rinse: "Rinse it off after",
  dark: "Keep it dark for",
  fan: "Fan on it for",
  wait: "Wait for",
};

/** A timer that may be started. @example offerInWords({ what: "rinse", minutes: 60 }) // "Rinse it off after 1 h" */
export function offerInWords({ what, minutes }: Pick<TimerProposal, "what" | "minutes">): string {
  return `${offers[what]} ${hoursInWords(minutes)}`;
}
