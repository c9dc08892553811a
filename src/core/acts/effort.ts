import type { TechniqueId } from "../knowledge/remedies/remedies";

/** Minutes for a plant in a 12 cm pot, everything at hand (HOUSE). */
const minutesAt12cm: Record<TechniqueId, number> = {
  dab: 8,
  wipe: 10,
  spray: 4,
  sprayAndSwab: 15,
  hastySpray: 2,
  dunk: 8,
  neckPour: 10,
  rootSoak: 20,
};

/** How much of the plant a technique wets, against all of it (HOUSE): a dab wets only the animals. */
export const wetted: Record<TechniqueId, number> = {
  dab: 0.5,
  wipe: 1,
  spray: 1,
  sprayAndSwab: 1,
  hastySpray: 0.7,
  dunk: 1,
  neckPour: 0.2,
  rootSoak: 0.5,
};

/**
 * Minutes one application takes, in proportion to the pot's width, at least one. An estimate (HOUSE).
 * Throws RangeError unless `potCm` is above 0. @example minutesFor("spray", 24) // 8
 */
export function minutesFor(technique: TechniqueId, potCm: number): number {
  if (!(potCm > 0)) throw new RangeError(`a pot has a width, got ${potCm}`);
  return Math.max(1, Math.round((minutesAt12cm[technique] * potCm) / 12));
}
