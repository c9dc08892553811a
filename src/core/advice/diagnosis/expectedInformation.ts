import { suspectIds, type SuspectId } from "../../knowledge/signs/suspects";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import { chancesOf, type Posterior } from "./posterior";
import type { Priors } from "./priors";
import { shownBy, testIds, tests, type Observations, type SignId, type TestId } from "../../knowledge/signs/signs";

export interface TestWorth {
  readonly test: TestId;
  /** Expected information about which pests are there, in bits; never negative. */
  readonly bits: number;
}

/**
 * How much looking for these signs would tell about which of the pests in question are there: the mutual information, in bits,
 * between what comes out and the set of those pests. Given all pests the signs are independent. 0 for no signs or no pest in
 * question; never negative. Source: expected information of a test, D. V. Lindley, Ann. Math. Statist. 27 (1956) 986–1005.
 * @example informationOf(certain, ["webbing"], suspectIds) // 0: nothing is left to learn
 */
export function informationOf(
  { sets }: Pick<Posterior, "sets">,
  shown: readonly SignId[],
  about: readonly SuspectId[],
): number {
  const mask = about.reduce((bits, pest) => bits | (1 << suspectIds.indexOf(pest)), 0);
  const byPart = (values: (set: number) => number) => {
    const parts = new Float64Array(sets.length);
    for (let set = 0; set < sets.length; set++) parts[set & mask]! += values(set);
    return parts;
  };
  const before = byPart((set) => sets[set]!);
  let bits = 0;
  for (let result = 0; result < 2 ** shown.length; result++) {
    const chance = (set: number) =>
      shown.reduce((p, sign, i) => p * (result & (1 << i) ? chancesOf(sign)[set]! : 1 - chancesOf(sign)[set]!), 1);
    const joint = byPart((set) => sets[set]! * chance(set));
    const total = joint.reduce((sum, p) => sum + p, 0);
    for (let part = 0; part < joint.length; part++)
      if (joint[part]! > 0) bits += joint[part]! * Math.log2(joint[part]! / (total * before[part]!));
  }
  return Math.max(0, bits);
}

/** A pest is in question once the signs have raised it by this much over what was likely before (HOUSE). */
const RAISED = 1.2;

/** The pests that the signs speak for, certain or not; all of them as long as they speak for none. */
export function inQuestion({ of }: Pick<Posterior, "of">, priors: Priors): readonly SuspectId[] {
  const raised = suspectIds.filter((pest) => of[pest] > RAISED * priors[pest]);
  return raised.length > 0 ? raised : suspectIds;
}

/** What waiting for days leaves of a test's worth: treatment cannot begin meanwhile (HOUSE). */
const AFTER_WAITING = 0.5;

/**
 * The tests that are still to be done on a plant of this form, those that tell most about the pests in question first; what a test tells that
 * wants days of waiting counts half. Those that cannot be done there, or are done already, are left out.
 */
export function testsByWorth(
  posterior: Posterior,
  priors: Priors,
  form: GrowthFormId,
  observed: Observations,
): TestWorth[] {
  const about = inQuestion(posterior, priors);
  return testIds
    .flatMap((test) => {
      const shown = shownBy(test, form, observed);
      return shown.length > 0 ? [{ test, bits: informationOf(posterior, shown, about) }] : [];
    })
    .toSorted((a, b) => worthNow(b) - worthNow(a));
}

const worthNow = ({ test, bits }: TestWorth) => bits * (tests[test].days > 0 ? AFTER_WAITING : 1);
