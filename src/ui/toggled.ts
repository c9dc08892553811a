/** The list with `one` taken out, or put at its end where it was not in it. @example toggled(["a"], "b") // ["a", "b"] */
export function toggled<T>(all: readonly T[], one: T): T[] {
  return all.includes(one) ? all.filter((other) => other !== one) : [...all, one];
}
