const small = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight"] as const;

/** A small number as a word, a larger one in digits. @example numberInWords(2) // "two" */
export const numberInWords = (n: number): string => small[n] ?? String(n);

/** So many of something. @example manyInWords(1, "closed case") // "one closed case"; manyInWords(4, "look") // "4 looks" */
export const manyInWords = (n: number, what: string): string => (n === 1 ? `one ${what}` : `${n} ${what}s`);
