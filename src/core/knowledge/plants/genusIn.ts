import { remember } from "../../shared/remember";
import { besideNames, commonNames, usuallyMeant } from "./commonNames";
import { genera, genusNamed, type Genus } from "./genera";

/** Small letters, no accents and apostrophes, a space for whatever else parts words. */
const wordsOf = (text: string): readonly string[] =>
  text
    .toLowerCase()
    .normalize("NFD")
    .replaceAll(/[\p{M}'’`]/gu, "")
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);

/** For each common name, its words joined by spaces, the genera that bear it. */
const byCommonName = new Map<string, readonly Genus[]>();
let longest = 1;
for (const genus of genera) {
  const names = [...genus.english, ...(commonNames[genus.name]?.split(", ") ?? [])];
  for (const name of names) {
    const words = wordsOf(name);
    const key = words.join(" ");
    byCommonName.set(key, [...new Set([...(byCommonName.get(key) ?? []), genus])]);
    longest = Math.max(longest, words.length);
  }
}

/** How many common names are known. */
export const commonNamesKnown = byCommonName.size;

const singular = (word: string) => word.replace(/(?<=[^su])s$/, "");

/** The genus that a common name means; null for none, and where several are meant as often. */
function called(words: readonly string[]): Genus | null {
  for (const key of new Set([words.join(" "), [...words.slice(0, -1), singular(words.at(-1)!)].join(" ")])) {
    const all = byCommonName.get(key) ?? [];
    const usual = usuallyMeant[key];
    if (usual !== undefined) return genusNamed(usual);
    if (all.length === 1) return all[0]!;
  }
  return null;
}

/** Of thousands of plants it is asked again and again. */
const MOST_KEPT = 2000;
const kept = new Map<string, Genus | null>();

/**
 * The genus of a plant as people write its name: botanical anywhere in it, or common, the longest that is in it. A common name of one
 * word counts only at the end, apart from words that say how the plant is: "lemon balm" is no lemon, and a "tomato seedling" is a
 * tomato. Null where nothing is known, or several genera are called so.
 * @example genusIn("White bird of paradise, big")?.name // "Strelitzia"
 */
export function genusIn(text: string): Genus | null {
  return remember(kept, MOST_KEPT, text, () => read(text));
}

function read(text: string): Genus | null {
  const words = wordsOf(text);
  const botanical = words.map((word) => genusNamed(word)).find((genus) => genus !== null);
  if (botanical) return botanical;
  for (let length = Math.min(longest, words.length); length > 1; length--)
    for (let from = words.length - length; from >= 0; from--) {
      const found = called(words.slice(from, from + length));
      if (found) return found;
    }
  const named = words.filter((word) => !besideNames.includes(word));
  return named.length > 0 ? called(named.slice(-1)) : null;
}
