import type { Day } from "@/core/shared/days";
import type { NaturalEnemies } from "@/core/knowledge/remedies/naturalEnemies";
import { dayInWords } from "../dates";

/** What holds of helpful animals on a plant; empty where nothing does. @example helpersSentence(sprayed, today) // "free for them from Sat 12 Dec" */
export function helpersSentence({ aliveUntil, freeFrom }: NaturalEnemies, today: Day): string {
  if (aliveUntil !== null && today <= aliveUntil)
    return `alive here until ${dayInWords(aliveUntil)}: no sprays, no dust`;
  if (freeFrom !== null && today < freeFrom) return `safe for them from ${dayInWords(freeFrom)}`;
  return "";
}
