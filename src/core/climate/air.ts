/** The air that a plant and its pests live in on a day. */
export interface Air {
  readonly meanC: number;
  /** Mean relative humidity, %; null where nobody measured it. */
  readonly humidity: number | null;
}

/** Linear between two points, and level beyond them. @example between(30, [20, 0], [40, 1]) // 0.5 */
export function between(
  x: number,
  [fromX, fromY]: readonly [number, number],
  [toX, toY]: readonly [number, number],
): number {
  const share = Math.min(1, Math.max(0, (x - fromX) / (toX - fromX)));
  return fromY + (toY - fromY) * share;
}

/**
 * A factor on the laying of spider mites by the day's mean humidity, %: dry air suits them. 1 where it is not known.
 * Source: literature from memory for the direction (LIT), the size our own (HOUSE). @example mitesLayIn(50) // 1
 */
export function mitesLayIn(humidity: number | null): number {
  if (humidity === null) return 1;
  return humidity < 50 ? between(humidity, [30, 1.25], [50, 1]) : between(humidity, [50, 1], [75, 0.6]);
}
