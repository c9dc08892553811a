import type { PestId } from "./pests";

/**
 * How long the body of an animal is, stage by stage, mm: filaments, legs, antennae and wings that reach further are left out. Eggs that are
 * laid in a sac or under a shell stand with what is seen of them. Source: the middle of the spans that handbooks of greenhouse pests give
 * for the common species of each group, from memory; single animals are half of it to half more.
 */
export const sizesMm: Readonly<Record<PestId, Readonly<Record<string, number>>>> = {
  spiderMite: { egg: 0.13, immature: 0.25, youngAdult: 0.4, adult: 0.5 },
  thrips: { egg: 0.25, larva: 0.8, pupa: 1, youngAdult: 1.2, adult: 1.4 },
  mealybug: { egg: 4, crawler: 0.4, nymph: 1.5, youngAdult: 3, adult: 4 },
  rootMealybug: { egg: 2, crawler: 0.3, nymph: 1, youngAdult: 1.8, adult: 2.4 },
  softScale: { crawler: 0.35, nymph: 1.2, youngAdult: 2.5, adult: 4 },
  armouredScale: { egg: 2, crawler: 0.25, nymph: 0.8, youngAdult: 1.4, adult: 2 },
  fungusGnat: { egg: 0.2, larva: 5.5, pupa: 3, youngAdult: 2.5, adult: 3 },
  aphid: { nymph: 0.9, youngAdult: 1.9, adult: 2.2 },
};

/** How long a stage of a pest is, mm. Throws RangeError for a stage it has not. @example sizeOf("fungusGnat", "larva") // 5.5 */
export function sizeOf(pest: PestId, stage: string): number {
  const size = sizesMm[pest][stage];
  if (size === undefined) throw new RangeError(`${pest} has no stage ${stage}`);
  return size;
}
