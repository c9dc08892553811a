/** The middle number, or the mean of the two in the middle; null of none. @example median([3, 1, 2]) // 2 */
export function median(numbers: readonly number[]): number | null {
  if (numbers.length === 0) return null;
  const sorted = numbers.toSorted((a, b) => a - b);
  const half = (sorted.length - 1) / 2;
  return (sorted[Math.floor(half)]! + sorted[Math.ceil(half)]!) / 2;
}
