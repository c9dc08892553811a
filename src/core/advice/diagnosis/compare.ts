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
  readonly present: number;
  readonly lookedFor: number;
  /** What the table takes the chance to be. */
  readonly expected: number;
  /** Whether the record speaks against the table: the table's chance lies outside the 95 % interval of the record. */
  readonly differs: boolean;
}

/**
 * How often each sign was there with each pest (`null`: with none), beside what the table says. Looks that found several pests
 * are left out: their signs cannot be told apart. Only pairs that were looked for; most looked for first.
 * @example recordOfSigns([{ naming: { present: ["webbing"], absent: [] }, pests: ["spiderMite"] }])[0].present // 1
 */
export function recordOfSigns(looks: readonly ConfirmedLook[]): SignRecord[] {
  const single = looks.filter((look) => look.pests.length <= 1);
  const records = [...suspectIds, null].flatMap((pest) => {
    const own = single.filter((look) => (look.pests[0] ?? null) === pest);
    return signIds.map((sign) => {
      const present = own.filter(({ naming }) => naming.present.includes(sign)).length;
      const lookedFor = present + own.filter(({ naming }) => naming.absent.includes(sign)).length;
      const expected = likelihoodOf(sign, pest);
      const [low, high] = wilson(present, lookedFor);
      return { sign, pest, present, lookedFor, expected, differs: expected < low || expected > high };
    });
  });
  return records.filter((one) => one.lookedFor > 0).toSorted((a, b) => b.lookedFor - a.lookedFor);
}

/** Standard normal quantile of a two-sided 95 % interval. */
const Z = 1.959963984540054;

/**
 * The 95 % score interval of a proportion; 0 to 1 where nothing was counted. Throws RangeError unless 0 ≤ hits ≤ n.
 * Source: E. B. Wilson, J. Am. Stat. Assoc. 22 (1927) 209–212. @example wilson(15, 148) // [0.062…, 0.160…]
 */
export function wilson(hits: number, n: number): [low: number, high: number] {
  if (!(hits >= 0 && hits <= n)) throw new RangeError(`${hits} of ${n}`);
  if (n === 0) return [0, 1];
  const p = hits / n;
  const middle = p + (Z * Z) / (2 * n);
  const half = Z * Math.sqrt((p * (1 - p)) / n + (Z * Z) / (4 * n * n));
  const scale = 1 + (Z * Z) / n;
  return [Math.max(0, (middle - half) / scale), Math.min(1, (middle + half) / scale)];
}
