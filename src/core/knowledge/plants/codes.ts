/** How a code is made: letters or signs, then a number padded to a width. */
const pattern = /^(.*?)(\d+)$/;

/** What codes begin with where there is none to go on from. */
const FIRST = { prefix: "P", width: 2, last: 0 };

/**
 * Codes for `count` plants more, none of which is taken: they go on from the beginning that most of the taken ones share, with
 * as many digits. Whether letters are large or small makes no difference. Throws RangeError unless `count` is a whole number
 * of 0 or more. @example nextCodes(["L01", "L07", "shelf"], 2) // ["L08", "L09"]
 */
export function nextCodes(taken: readonly string[], count: number): string[] {
  if (!(Number.isInteger(count) && count >= 0)) throw new RangeError(`a count is 0, 1, 2 …, got ${count}`);
  const { prefix, width, last } = mostUsed(taken);
  const known = new Set(taken.map((code) => code.toLowerCase()));
  const codes: string[] = [];
  for (let n = last + 1; codes.length < count; n++) {
    const code = prefix + String(n).padStart(width, "0");
    if (!known.has(code.toLowerCase())) codes.push(code);
  }
  return codes;
}

function mostUsed(taken: readonly string[]): typeof FIRST {
  const families = new Map<string, { prefix: string; width: number; last: number; codes: number }>();
  for (const code of taken) {
    const [, prefix = "", digits] = pattern.exec(code) ?? [];
    // A number that long is no count of plants.
    if (digits === undefined || digits.length > 6) continue;
    const family = families.get(prefix.toLowerCase()) ?? { prefix, width: digits.length, last: 0, codes: 0 };
    families.set(prefix.toLowerCase(), {
      ...family,
      width: Math.max(family.width, digits.length),
      last: Math.max(family.last, Number(digits)),
      codes: family.codes + 1,
    });
  }
  return [...families.values()].toSorted((a, b) => b.codes - a.codes)[0] ?? FIRST;
}

const natural = new Intl.Collator("en", { numeric: true });

/** The order of codes as people count: O2 before O10. @example ["O10", "O2"].toSorted(byCode) // ["O2", "O10"] */
export function byCode(a: string, b: string): number {
  return natural.compare(a, b);
}
