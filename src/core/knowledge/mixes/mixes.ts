import type { RemedyId } from "../remedies/remedies";
import { measureMl, mL, type Millilitres } from "../../units/volume";
import { rest, stockFor } from "./dilution";

export const mixIds = [
  "alcoholFull",
  "alcoholHalf",
  "alcoholQuarter",
  "soapMild",
  "soapStrong",
  "oil1",
  "oil2",
  "neemWeak",
  "neemUsual",
  "neemStrong",
  "soapAlcohol",
  "soapNeem",
  "soapNeemAlcohol",
  "spinosadLabel",
  "pyrethrinsLabel",
  "essentialOilLabel",
  "permethrinLabel",
  "acetamipridLabel",
  "abamectinLabel",
  "hexythiazoxLabel",
  "bifenazateLabel",
  "sulphurLabel",
] as const;
export type MixId = (typeof mixIds)[number];

export const ingredientIds = ["water", "warmWater", "soap", "oil", "neemOil", "alcoholBottle", "product"] as const;
export type IngredientId = (typeof ingredientIds)[number];

export interface Amount {
  readonly ingredient: IngredientId;
  readonly volumeMl: Millilitres;
}

interface Household {
  readonly kind: "household";
  readonly remedy: RemedyId;
  /** Millilitres in one litre of finished mix, in the order of adding: soap first, so that the oil meets it. */
  readonly perLitreMl: readonly (readonly [IngredientId, number])[];
  readonly water: "water" | "warmWater";
  /** Hours after which what is left is useless. */
  readonly keepsHours: number;
}

interface Cut {
  readonly kind: "cut";
  readonly remedy: RemedyId;
  /** Wanted strength, share by volume. */
  readonly strength: number;
}

/** A product of which only its label knows how it is made up: all of it is the product. */
interface ByLabel {
  readonly kind: "byLabel";
  readonly remedy: RemedyId;
  /** Hours after which what is left is useless. */
  readonly keepsHours: number;
}

/** Several mixes in one can, each as strong in all of it as it is alone. */
interface Can {
  readonly kind: "can";
  /** The remedy of its first part: it goes by that remedy's techniques. */
  readonly remedy: RemedyId;
  readonly parts: readonly MixId[];
  /** Hours after which what is left is useless. */
  readonly keepsHours: number;
}

export type Mix = Household | Cut | ByLabel | Can;

const { usTeaspoon, usQuart } = measureMl;
const perLitreFromUsQuart = (amountMl: number) => (amountMl * 1000) / usQuart;

/**
 * The mixes a keeper can make. Alcohol is cut from the keeper's own bottle; the others are household recipes.
 * Source: common practice, no source. A product's label overrides every one of them.
 */
export const mixes = {
  /** 70 % as it comes. */
  alcoholFull: { kind: "cut", remedy: "alcohol", strength: 0.7 },
  /** 70 % and water, one to one. */
  alcoholHalf: { kind: "cut", remedy: "alcohol", strength: 0.35 },
  /** 70 % and water, one to three. */
  alcoholQuarter: { kind: "cut", remedy: "alcohol", strength: 0.175 },
  soapMild: household("soap", [["soap", 5]], "water", 24),
  soapStrong: household("soap", [["soap", 15]], "water", 24),
  oil1: household(
    "oil",
    [
      ["soap", 0.5],
      ["oil", 10],
    ],
    "water",
    12,
  ),
  oil2: household(
    "oil",
    [
      ["soap", 0.5],
      ["oil", 20],
    ],
    "water",
    12,
  ),
  neemWeak: household(
    "neem",
    [
      ["soap", perLitreFromUsQuart(usTeaspoon / 2)],
      ["neemOil", perLitreFromUsQuart(usTeaspoon)],
    ],
    "warmWater",
    12,
  ),
  neemUsual: household(
    "neem",
    [
      ["soap", 5],
      ["neemOil", 7.5],
    ],
    "warmWater",
    12,
  ),
  neemStrong: household(
    "neem",
    [
      ["soap", 15],
      ["neemOil", 15],
    ],
    "warmWater",
    12,
  ),
  soapAlcohol: can("soap", ["soapMild", "alcoholQuarter"], 24),
  soapNeem: can("neem", ["neemUsual", "soapStrong"], 12),
  soapNeemAlcohol: can("neem", ["neemUsual", "soapMild", "alcoholQuarter"], 12),
  spinosadLabel: { kind: "byLabel", remedy: "spinosad", keepsHours: 24 },
  pyrethrinsLabel: { kind: "byLabel", remedy: "pyrethrins", keepsHours: 24 },
  essentialOilLabel: { kind: "byLabel", remedy: "essentialOil", keepsHours: 24 },
  permethrinLabel: { kind: "byLabel", remedy: "permethrin", keepsHours: 24 },
  acetamipridLabel: { kind: "byLabel", remedy: "acetamiprid", keepsHours: 24 },
  abamectinLabel: { kind: "byLabel", remedy: "abamectin", keepsHours: 24 },
  hexythiazoxLabel: { kind: "byLabel", remedy: "hexythiazox", keepsHours: 24 },
  bifenazateLabel: { kind: "byLabel", remedy: "bifenazate", keepsHours: 24 },
  sulphurLabel: { kind: "byLabel", remedy: "sulphur", keepsHours: 24 },
} as const satisfies Record<MixId, Mix>;

/** The mixes with one remedy, in the order of the table. @example mixesOf("oil") // ["oil1", "oil2"] */
export function mixesOf(remedy: RemedyId): readonly MixId[] {
  return mixIds.filter((id) => mixes[id].remedy === remedy && mixes[id].kind !== "can");
}

/** Everything to choose from that holds a remedy, alone or with others, in the order of the table. @example mixesWith("soap") // soapMild, soapStrong, soapAlcohol … */
export function mixesWith(remedy: RemedyId): readonly MixId[] {
  return mixIds.filter((id) => remediesIn(id).includes(remedy));
}

/** The mixes that are together in a can; itself for a mix of one remedy. @example partsOf("soapAlcohol") // ["soapMild", "alcoholQuarter"] */
export function partsOf(id: MixId): readonly MixId[] {
  const mix: Mix = mixes[id];
  return mix.kind === "can" ? mix.parts : [id];
}

/** The remedies in a mix, each once. @example remediesIn("soapAlcohol") // ["soap", "alcohol"] */
export function remediesIn(id: MixId): readonly RemedyId[] {
  return [...new Set(partsOf(id).map((part) => mixes[part].remedy))];
}

/** What to pour together, or why it cannot be mixed. */
export type Pouring =
  | { readonly code: "ok"; readonly amounts: readonly Amount[]; readonly keepsHours: number | null }
  | { readonly code: "bottle_too_weak"; readonly strength: number; readonly bottle: number };

/**
 * What to measure for `total` of a mix, in the order of adding; the amounts sum to `total`.
 * `bottle` is the strength of the keeper's alcohol as a share by volume (0–1) and counts only for mixes cut from it; a bottle
 * weaker than the mix is an expected outcome. `perLitreMl` is what the label of the keeper's own bottle says of a product or of the
 * active ingredient of a recipe, in a can of its first part: it goes before the recipe's own; null where it says nothing. `cutTo` is the strength wanted of what
 * is cut from a bottle, as a share; null where it is the mix's own. Throws RangeError when `bottle` or `cutTo` is outside (0, 1], and
 * when `perLitreMl` is not above 0 or more than a litre.
 * @example pour("alcoholFull", mL(500), 0.99) // 146.5 mL water, 353.5 mL from the bottle
 */
export function pour(
  id: MixId,
  total: Millilitres,
  bottle: number,
  perLitreMl: number | null = null,
  cutTo: number | null = null,
): Pouring {
  const mix: Mix = mixes[id];
  if (cutTo !== null && !(cutTo > 0 && cutTo <= 1))
    throw new RangeError(`a strength is above 0 and at most 1, got ${cutTo}`);
  if (perLitreMl !== null && !(perLitreMl > 0 && perLitreMl <= 1000))
    throw new RangeError(`a litre of mix holds up to a litre of product, got ${perLitreMl}`);
  if (mix.kind === "cut") {
    if (!(bottle > 0 && bottle <= 1)) throw new RangeError(`a strength is above 0 and at most 1, got ${bottle}`);
    const strength = cutTo ?? mix.strength;
    if (strength > bottle) return { code: "bottle_too_weak", strength, bottle };
    const stock = stockFor(total, strength, bottle);
    const amounts = [amount("water", rest(total, stock)), amount("alcoholBottle", stock)];
    return { code: "ok", amounts: amounts.filter((a) => a.volumeMl > 0), keepsHours: null };
  }
  if (mix.kind === "can") return pourTogether(mix, total, bottle, perLitreMl);
  if (mix.kind === "byLabel") {
    if (perLitreMl === null) return { code: "ok", amounts: [amount("product", total)], keepsHours: mix.keepsHours };
    const product = amount("product", (total * perLitreMl) / 1000);
    const amounts = [amount("water", rest(total, product.volumeMl)), product].filter((a) => a.volumeMl > 0);
    return { code: "ok", amounts, keepsHours: mix.keepsHours };
  }
  const active = activeIn(mix.remedy);
  const additives = mix.perLitreMl.map(([ingredient, perLitre]) => {
    const byLabel = ingredient === active ? perLitreMl : null;
    return amount(ingredient, (total * (byLabel ?? perLitre)) / 1000);
  });
  const added = mL(additives.reduce((sum, a) => sum + a.volumeMl, 0));
  // A label may make it up so strong that there is no room for anything else: then it is used alone.
  if (added > total) {
    const alone = amount(active, (total * perLitreMl!) / 1000);
    const amounts = [amount(mix.water, rest(total, alone.volumeMl)), alone].filter((a) => a.volumeMl > 0);
    return { code: "ok", amounts, keepsHours: mix.keepsHours };
  }
  return { code: "ok", amounts: [amount(mix.water, rest(total, added)), ...additives], keepsHours: mix.keepsHours };
}

/** Each part's share of a can. What two of them ask for, as the soap of a neem mix and of a soap wash, goes in once: as much as the stronger asks. */
function pourTogether(
  { parts, keepsHours }: Can,
  total: Millilitres,
  bottle: number,
  perLitreMl: number | null,
): Pouring {
  const added = new Map<IngredientId, number>();
  let water: IngredientId = "water";
  for (const [i, part] of parts.entries()) {
    const pouring = pour(part, total, bottle, i === 0 ? perLitreMl : null);
    if (pouring.code !== "ok") return pouring;
    for (const { ingredient, volumeMl } of pouring.amounts) {
      if (ingredient === "warmWater") water = ingredient;
      else if (ingredient !== "water") added.set(ingredient, Math.max(added.get(ingredient) ?? 0, volumeMl));
    }
  }
  const inOrder = ingredientIds.filter((id) => added.has(id)).map((id) => amount(id, added.get(id)!));
  const all = inOrder.reduce((sum, { volumeMl }) => sum + volumeMl, 0);
  // A label may make the first so strong that there is no room for another.
  if (all > total) return pour(parts[0]!, total, bottle, perLitreMl);
  const amounts = [amount(water, total - all), ...inOrder].filter(({ volumeMl }) => volumeMl > 0);
  return { code: "ok", amounts, keepsHours };
}

/** The ingredient of a recipe that does the work. @example activeIn("neem") // "neemOil" */
export function activeIn(remedy: RemedyId): IngredientId {
  return remedy === "neem" ? "neemOil" : remedy === "oil" ? "oil" : "soap";
}

function amount(ingredient: IngredientId, volumeMl: number): Amount {
  return { ingredient, volumeMl: mL(volumeMl) };
}

function household(
  remedy: RemedyId,
  perLitreMl: Household["perLitreMl"],
  water: Household["water"],
  keepsHours: number,
): Household {
  return { kind: "household", remedy, perLitreMl, water, keepsHours };
}

function can(remedy: RemedyId, parts: readonly MixId[], keepsHours: number): Can {
  return { kind: "can", remedy, parts, keepsHours };
}

/** Whether a word names a mix. @example isMix("soapMild") // true */
export function isMix(word: string): word is MixId {
  return Object.hasOwn(mixes, word);
}
