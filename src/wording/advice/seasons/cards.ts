import { fliesInWords } from "./seasons";

/** Why a photo was not read, or what is missing on it. */
export const notReadSentences = {
  no_picture: "This file is no picture that your browser can read. Choose another.",
  failed: "The photo could not be read. Choose it again, or count by eye.",
  too_many:
    "There are too many specks on this photo to tell them apart. Photograph it in better light, or count by eye.",
  no_paper: "The paper does not stand out on one of the photos. Lay it on a darker surface, all of it in the picture.",
} as const;
export type NotRead = keyof typeof notReadSentences;

/** What is ringed on a card, after how many flies are. @example thripsSentence(0) // "" */
export function thripsSentence(thrips: number): string {
  if (thrips === 0) return "";
  const some = thrips === 1 ? "one speck is" : `${thrips} specks are`;
  return `${some[0]!.toUpperCase()}${some.slice(1)} as thin as thrips (dotted, not counted): look into flowers and under leaves.`;
}

/** What moved on a paper. @example movedInWords(1) // "One moved" */
export function movedInWords(count: number): string {
  return count === 0 ? "Nothing moved" : count === 1 ? "One moved" : `${count} moved`;
}

/** A ring, for those who cannot see it, by its number from the top. @example ringName("fly", 2, 3) // "3: 2 flies" */
export function ringName(what: "fly" | "speck", many: number, number: number): string {
  if (what === "speck") return `${number}: a speck that moved`;
  return `${number}: ${many === 1 ? "a fly" : fliesInWords(many)}`;
}

/** What became of the photos of a count that is saved. @example unsentSentence(2) // "The count is saved. 2 of its photos could not be sent." */
export function unsentSentence(unsent: number): string {
  return `The count is saved. ${unsent === 1 ? "A photo of it" : `${unsent} of its photos`} could not be sent.`;
}
