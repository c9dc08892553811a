import type { NotYet } from "@/core/model/clearance/rule";
import { assertNever } from "@/core/shared/assertNever";
import { percent } from "../chances";
import { CLEAN_LOOK_GAP_DAYS, CLEAN_LOOKS_NEEDED } from "@/core/model/inspection/cleanLooks";
import { dayCount, dayInWords } from "../../dates";
import { numberInWords } from "../../numbers";

const apart = `${numberInWords(CLEAN_LOOK_GAP_DAYS)} days apart`;

/** What repeated clean looks are, in words: "two clean looks, six days apart". */
export const cleanLooksNeeded = `${numberInWords(CLEAN_LOOKS_NEEDED)} clean looks, ${apart}`;

/** How many of those there were. @example cleanLooksSoFar(1) // "1 of 2 clean looks, six days apart" */
export const cleanLooksSoFar = (have: number): string =>
  `${Math.min(have, CLEAN_LOOKS_NEEDED)} of ${CLEAN_LOOKS_NEEDED} clean looks, ${apart}`;

/** Why a plant is not clear yet, as a sentence. */
export function notYetSentence(reason: NotYet): string {
  switch (reason.code) {
    case "live_at_last_look":
      return `Live animals were seen at the last look, on ${dayInWords(reason.lastLive)}.`;
    case "clean_looks_missing":
      return `${reason.have} of ${reason.need} clean looks since the last treatment${
        reason.nextFrom ? `; the next one counts from ${dayInWords(reason.nextFrom)}` : ""
      }.`;
    case "generation_not_over":
      return `A generation takes ${dayCount(reason.days)} at this temperature: not before ${dayInWords(reason.until)}.`;
    case "too_cold":
      return `At ${reason.meanC} °C the pest does not develop: it waits for warmth, so clean looks now prove little.`;
    case "not_sure_enough":
      return `It is ${percent(reason.pClear)} likely over by everything done and seen; your target is ${percent(reason.target)}.`;
    default:
      return assertNever(reason);
  }
}
