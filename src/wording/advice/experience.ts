import { manyInWords } from "../numbers";

/** What came of a file that was read in. @example keepersReadIn(3) // "3 other keepers read in." */
export const keepersReadIn = (keepers: number): string => {
  const told = manyInWords(keepers, "other keeper");
  return `${told[0]!.toUpperCase()}${told.slice(1)} read in.`;
};
