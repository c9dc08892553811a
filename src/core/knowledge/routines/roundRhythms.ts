/** How rounds follow each other: evenly, or dense at first and thinning out. */
export const roundRhythms = ["steady", "taper"] as const;
export type RoundRhythm = (typeof roundRhythms)[number];

/** Two short gaps, then weekly for a month (common practice, no source). */
const DENSE = [5, 5, 7, 7, 7, 7] as const;

/**
 * Days from a plant's nth treatment in a programme to the next: even, or with a taper 5, 5, weekly for a month, and then as often as is
 * chosen, never oftener than that. @example gapAfter(1, { everyDays: 14, rhythm: "taper" }) // 5
 */
export function gapAfter(
  treatments: number,
  { everyDays, rhythm = "steady" }: { readonly everyDays: number; readonly rhythm?: RoundRhythm | undefined },
): number {
  if (rhythm === "steady" || treatments < 1) return everyDays;
  return Math.min(everyDays, DENSE[treatments - 1] ?? everyDays);
}
