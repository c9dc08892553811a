import type { Day } from "@/core/climate/days";
import type { Helpers } from "@/core/suitability/helpers";
import { dayInWords } from "./dates";

/** What holds of helpful animals on a plant; empty where nothing does. @example helpersSentence(sprayed, today) // "free for them from Sat 12 Dec" */
export function helpersSentence({ aliveUntil, freeFrom }: Helpers, today: Day): string {
  if (aliveUntil !== null && today <= aliveUntil)
    return `live here until ${dayInWords(aliveUntil)}: no sprays, no dust`;
  if (freeFrom !== null && today < freeFrom) return `free for them from ${dayInWords(freeFrom)}`;
  return "";
}
