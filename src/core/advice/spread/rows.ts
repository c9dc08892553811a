/** A plant in the row of a place, from a time (included) until another (excluded); slots count from left to right. */
export interface InRow {
  readonly plantId: string;
  readonly slot: number;
  readonly from: number;
  readonly until: number;
}

/** Two plants stood next to each other. */
export interface SideBySide {
  readonly plants: readonly [string, string];
  readonly from: number;
  readonly until: number;
}

/**
 * Who stood next to whom in the row of one place, and when: those between whom nothing stood. Times in days. Of two in the same
 * slot the one with the smaller id stands first.
 */
export function sideBySide(row: readonly InRow[]): SideBySide[] {
  const moments = [...new Set(row.flatMap(({ from, until }) => [from, until]))].toSorted((a, b) => a - b);
  const begun = new Map<string, { plants: [string, string]; from: number }>();
  const done: SideBySide[] = [];
  for (const moment of moments) {
    const there = row
      .filter(({ from, until }) => from <= moment && moment < until)
      .toSorted((a, b) => a.slot - b.slot || (a.plantId < b.plantId ? -1 : 1));
    const now = new Map<string, [string, string]>();
    for (let i = 1; i < there.length; i++) {
      const pair = [there[i - 1]!.plantId, there[i]!.plantId].toSorted() as [string, string];
      now.set(pair.join(" "), pair);
    }
    for (const [key, { plants, from }] of begun)
      if (!now.has(key)) {
        done.push({ plants, from, until: moment });
        begun.delete(key);
      }
    for (const [key, plants] of now) if (!begun.has(key)) begun.set(key, { plants, from: moment });
  }
  return done;
}
