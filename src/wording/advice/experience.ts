import { manyInWords } from "../numbers";

/** What came of a file that was imported. @example keepersImported(3) // "Imported: 3 other keepers." */
export const keepersImported = (keepers: number): string => `Imported: ${manyInWords(keepers, "other keeper")}.`;
