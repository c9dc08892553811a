/** A plant in a row, and which slot it has; null where nobody has said. */
export interface Slotted {
  readonly plantId: string;
  readonly slot: number | null;
}

/** Slots nearer than this are spread out again before another comes between. */
const NARROW = 1e-6;

/**
 * The slots that change when a plant comes to stand behind another in a row, or at its front (`first`): its own, and those of
 * plants that have none yet or stand too close. `row` as it is shown, from left to right; the plant may be in it.
 * Throws RangeError where the plant behind which it is to stand is not in the row.
 * @example placeBehind([{ plantId: "a", slot: 1 }, { plantId: "b", slot: 2 }], "c", "a") // [{ plantId: "c", slot: 1.5 }]
 */
export function placeBehind(
  row: readonly Slotted[],
  plantId: string,
  after: string,
): { plantId: string; slot: number }[] {
  const others = row.filter((one) => one.plantId !== plantId);
  const at = after === "first" ? 0 : others.findIndex((one) => one.plantId === after) + 1;
  if (after !== "first" && at === 0) throw new RangeError(`${after} does not stand in this row`);
  const tidy = isTidy(others) ? others : null;
  if (!tidy) {
    const all = [...others.slice(0, at), { plantId, slot: null }, ...others.slice(at)];
    return all.map((one, i) => ({ plantId: one.plantId, slot: i + 1 })).filter(({ slot }, i) => all[i]!.slot !== slot);
  }
  const [before, behind] = [tidy[at - 1]?.slot, tidy[at]?.slot];
  const slot = between(before ?? null, behind ?? null);
  return [{ plantId, slot }];
}

function isTidy(row: readonly Slotted[]): boolean {
  return row.every(({ slot }, i) => slot !== null && (i === 0 || slot - (row[i - 1]!.slot ?? Infinity) > NARROW));
}

/** A slot between two, or beyond the one there is. */
function between(before: number | null, behind: number | null): number {
  if (before === null) return behind === null ? 1 : behind - 1;
  return behind === null ? before + 1 : (before + behind) / 2;
}
