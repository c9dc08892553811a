/** The mean of some numbers; null of none. @example meanOf([1, 2, 6]) // 3 */
export function meanOf(values: readonly number[]): number | null {
  return values.length > 0 ? values.reduce((sum, value) => sum + value, 0) / values.length : null;
}
