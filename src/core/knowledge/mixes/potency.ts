import type { RemedyId } from "../remedies/remedies";
import { activeIn, mixes, partsOf, type Mix, type MixId } from "./mixes";

/**
 * What a strength does, against the strength that the kill tables hold for: alcohol as a share by volume, soap and neem in
 * millilitres a litre, oil in per cent, a product in parts of what its label says. Two drops in a bottle come out as what they are. Source: our own estimates (HOUSE).
 */
const potencies = {
  alcohol: [
    [0.175, 0.25],
    [0.35, 0.55],
    [0.6, 1],
  ],
  soap: [
    [5, 0.7],
    [15, 1],
  ],
  oil: [
    [1, 0.75],
    [2, 1],
    [3, 1.15],
  ],
  neem: [
    [3, 0.75],
    [5, 0.75],
    [7.5, 1],
    [10, 1.15],
  ],
  // What a label has made up is as strong as its table takes it.
  spinosad: [[1, 1]],
  pyrethrins: [[1, 1]],
  essentialOil: [[1, 1]],
  permethrin: [[1, 1]],
  acetamiprid: [[1, 1]],
  abamectin: [[1, 1]],
  hexythiazox: [[1, 1]],
  bifenazate: [[1, 1]],
  sulphur: [[1, 1]],
} as const satisfies Record<RemedyId, readonly (readonly [strength: number, potency: number])[]>;

/** A finished mix weaker than this against what the table takes does next to nothing (HOUSE). */
export const TOKEN_POTENCY = 0.2;

/**
 * The power to which 1 − kill is taken for a finished mix of a strength: linear between the rows of the table, in proportion to
 * the strength below the first, the last above it. Throws RangeError unless `strength` is above 0.
 * @example potencyAt("alcohol", 0.7) // 1
 */
export function potencyAt(remedy: RemedyId, strength: number): number {
  if (!(strength > 0)) throw new RangeError(`a strength is above 0, got ${strength}`);
  const rows: readonly (readonly [number, number])[] = potencies[remedy];
  const next = rows.findIndex(([at]) => strength < at);
  if (next < 0) return rows.at(-1)![1];
  const [toStrength, toPotency] = rows[next]!;
  const [fromStrength, fromPotency] = next > 0 ? rows[next - 1]! : [0, 0];
  return fromPotency + ((toPotency - fromPotency) * (strength - fromStrength)) / (toStrength - fromStrength);
}

/** The strength of a finished mix, in its remedy's own measure; of a can, that of its first part. @example strengthOf("oil2") // 2 */
export function strengthOf(id: MixId): number {
  const mix: Mix = mixes[id];
  if (mix.kind === "can") return strengthOf(mix.parts[0]!);
  if (mix.kind === "cut") return mix.strength;
  if (mix.kind === "byLabel") return 1;
  const active = activeIn(mix.remedy);
  const perLitreMl = mix.perLitreMl.find(([ingredient]) => ingredient === active)![1];
  return mix.remedy === "oil" ? perLitreMl / 10 : perLitreMl;
}

/** A remedy in a finished mix, and what it does there. */
export interface Agent {
  readonly remedy: RemedyId;
  readonly potency: number;
}

/** What else is in the can, beside the first. Empty for a mix of one remedy. @example besides("soapAlcohol") // [{ remedy: "alcohol", potency: .25 }] */
export function besides(id: MixId): readonly Agent[] {
  return partsOf(id)
    .slice(1)
    .map((part) => ({ remedy: mixes[part].remedy, potency: potencyOf(part) }));
}

/** What a mix made by its recipe does; of a can, what its first part does. @example potencyOf("alcoholHalf") // 0.55 */
export function potencyOf(id: MixId): number {
  return potencyAt(mixes[id].remedy, strengthOf(id));
}
