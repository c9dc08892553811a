import { countedOf, FEWEST_COUNTED, type Counted } from "../learning/span";
import { suspectIds, type SuspectId } from "../../knowledge/signs/suspects";
import { likelihoodOf, signIds, type SignId } from "../../knowledge/signs/signs";

/** A look at which signs were looked for, and what it found; no pests: none was there. */
export interface ConfirmedLook {
  readonly naming: { readonly present: readonly SignId[]; readonly absent: readonly SignId[] };
  readonly pests: readonly SuspectId[];
}

export interface SignRecord {
  readonly sign: SignId;
  readonly pest: SuspectId | null;
  /** How often it was there, of how often it was looked for, with the 95 % interval of its share. */
  readonly present: Counted;
  /** What the table takes the chance to be. */
  readonly expected: number;
  /** Whether the record speaks against the table, whose chance then lies outside the interval; null where too few looks were made to say. */
  readonly differs: boolean | null;
}

/** Standard normal quantile of a two-sided 95 % interval. */
const Z_95 = 1.959963984540054;

/**
 * How often each sign was there with each pest (`null`: with none), beside what the table says. Looks that found several pests
 * are left out: their signs cannot be told apart. Only pairs that were looked for; most looked for first.
 * @example recordOfSigns([{ naming: { present: ["webbing"], absent: [] }, pests: ["spiderMite"] }])[0].present.hits // 1
 */
export function recordOfSigns(looks: readonly ConfirmedLook[]): SignRecord[] {
  const single = looks.filter((look) => look.pests.length <= 1);
  const records = [...suspectIds, null].flatMap((pest) => {
    const own = single.filter((look) => (look.pests[0] ?? null) === pest);
    return signIds.map((sign) => {
      const there = own.filter(({ naming }) => naming.present.includes(sign)).length;
      const lookedFor = there + own.filter(({ naming }) => naming.absent.includes(sign)).length;
      const present = countedOf(there, lookedFor, Z_95);
      const expected = likelihoodOf(sign, pest);
      const differs = lookedFor < FEWEST_COUNTED ? null : expected < present.low || expected > present.high;
      return { sign, pest, present, expected, differs };
    });
  });
  return records.filter(({ present }) => present.of > 0).toSorted((a, b) => b.present.of - a.present.of);
}
