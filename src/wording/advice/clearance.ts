import type { NotYet } from "@/core/model/clearance/rule";
import { assertNever } from "@/core/shared/assertNever";
import { percent } from "./chances";
import { dayCount, dayInWords } from "../dates";

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
