/** How many plants, within a sentence. @example plantsInWords(1) // "one plant" */
export function plantsInWords(n: number): string {
  return n === 1 ? "one plant" : `${n} plants`;
}
