import { warmthIn, type Units } from "../units";

/** How warm it is, where that is known. */
export function warmthInWords(meanC: number | null, units: Units): string {
  return meanC === null ? "no temperature recorded" : warmthIn(meanC, units);
}
