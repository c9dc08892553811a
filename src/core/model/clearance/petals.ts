/** From which probability on a further petal is filled; the first is always. */
const STEPS = [0.4, 0.6, 0.8, 0.95] as const;

/**
 * How many petals stand for a probability that nothing is left: 1–5, the fifth from 95 % on.
 * Throws RangeError for what is no probability. @example petalsFor(0.83) // 4
 */
export function petalsFor(pClear: number): number {
  if (!(pClear >= 0 && pClear <= 1 + 1e-9)) throw new RangeError(`no probability: ${pClear}`);
  return 1 + STEPS.filter((step) => pClear >= step).length;
}
