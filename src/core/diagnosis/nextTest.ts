import type { GrowthFormId } from "../plants/growthForms";
import { chancesOf, type Posterior } from "./posterior";
import { canShow, testIds, tests, type Observations, type SignId, type TestId } from "./signs";

export interface TestWorth {
  readonly test: TestId;
  /** Expected information about which pests are there, in bits; never negative. */
  readonly bits: number;
}

/**
 * How much looking for these signs would tell: the mutual information, in bits, between what comes out and the set of pests.
 * Given the pests the signs are independent. 0 for no signs; never negative.
 * Source: expected information of a test, D. V. Lindley, Ann. Math. Statist. 27 (1956) 986–1005.
 * @example informationOf(certain, ["webbing"]) // 0: nothing is left to learn
 */
export function informationOf({ sets }: Pick<Posterior, "sets">, shown: readonly SignId[]): number {
  let bits = 0;
  for (let result = 0; result < 2 ** shown.length; result++) {
    const chance = (set: number) =>
      shown.reduce((p, sign, i) => p * (result & (1 << i) ? chancesOf(sign)[set]! : 1 - chancesOf(sign)[set]!), 1);
    const joint = sets.map((p, set) => p * chance(set));
    const total = joint.reduce((sum, p) => sum + p, 0);
    if (total === 0) continue;
    for (let set = 0; set < sets.length; set++)
      if (joint[set]! > 0) bits += joint[set]! * Math.log2(joint[set]! / (total * sets[set]!));
  }
  return Math.max(0, bits);
}

/** What waiting for days leaves of a test's worth: treatment cannot begin meanwhile (HOUSE). */
const AFTER_WAITING = 0.5;

/**
 * The tests that are still to be done on a plant of this form, those that tell most first; what a test tells that
 * wants days of waiting counts half. A test counts as done once one of
 * its signs has been looked for; a test of which the form can show no sign is left out.
 */
export function testsByWorth(posterior: Posterior, form: GrowthFormId, observed: Observations): TestWorth[] {
  return testIds
    .flatMap((test) => {
      const shown = tests[test].shows.filter((sign) => canShow(sign, form));
      if (shown.length === 0 || shown.some((sign) => observed[sign] !== undefined)) return [];
      return [{ test, bits: informationOf(posterior, shown) }];
    })
    .toSorted((a, b) => worthNow(b) - worthNow(a));
}

const worthNow = ({ test, bits }: TestWorth) => bits * (tests[test].days > 0 ? AFTER_WAITING : 1);
