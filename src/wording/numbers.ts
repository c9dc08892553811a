const small = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight"] as const;

/** A small number as a word, a larger one in digits. @example numberInWords(2) // "two" */
export const numberInWords = (n: number): string => small[n] ?? String(n);
