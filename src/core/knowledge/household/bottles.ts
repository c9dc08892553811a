import { z } from "zod";
import { dayField, decimal, id, orNothing, requiredText, whole } from "../../shared/fields";
import type { RemedyId } from "../remedies/remedies";
import { activeIds, isSystemic, type ProductId } from "./products";

/** Where a label allows what is in the bottle. */
export const allowedIds = ["indoors", "outdoors", "food"] as const;
export type AllowedId = (typeof allowedIds)[number];

/** In what the content of a bottle is measured. */
export const bottleUnits = ["mL", "g", "pieces"] as const;
export type BottleUnit = (typeof bottleUnits)[number];

const described = {
  /** What its keeper calls it. */
  name: requiredText(60),
  active: z.enum(activeIds),
  /** How much of the active ingredient is in it, per cent; null where nobody has said. */
  percent: orNothing(decimal(0.0001, 100)),
  unit: z.enum(bottleUnits),
  /** By the label, so much of it in one litre of finished mix, in its unit; null for what is used as it is, and where the label was not read. */
  perLitre: orNothing(decimal(0.001, 1000)),
  /** By the label, fewest days between two applications, and most of them in a season; null where it says nothing. */
  everyDays: orNothing(whole(1, 365)),
  mostTimes: orNothing(whole(1, 60)),
  allowed: z.array(z.enum(allowedIds)).transform((all) => allowedIds.filter((one) => all.includes(one))),
  /** What a full one holds, in its unit. */
  size: orNothing(decimal(0.1, 100_000)),
  openedOn: orNothing(dayField),
  bestBefore: orNothing(dayField),
  /** When it was empty or thrown away; null while there is something in it. */
  emptiedOn: orNothing(dayField),
  /** In the keeper's own money. */
  price: orNothing(decimal(0, 100_000)),
};

/** A bottle, bag or box in the cupboard, with what its label says. */
export const keepBottle = z.object({ id, ...described });
export type KeepBottle = z.output<typeof keepBottle>;

/** It was entered by mistake. */
export const dropBottle = z.object({ bottleId: id });
export type DropBottle = z.output<typeof dropBottle>;

export type Bottle = KeepBottle;

/** So many bottles are kept at most, the empty ones among them. */
export const MOST_BOTTLES = 300;

/** The bottles in which there is something. */
export function inUse(bottles: readonly Bottle[]): readonly Bottle[] {
  return bottles.filter(({ emptiedOn }) => emptiedOn === null);
}

/** Whether a bottle holds a product; of "one of the usual systemics" any single one is. */
export function isBottles({ active }: Pick<Bottle, "active">, product: ProductId): boolean {
  return active === product || (product === "throughTheRoots" && isSystemic(active));
}

/** The bottle whose label says how much of a remedy's active ingredient goes into a litre; null where none does. Empty ones say nothing. */
export function labelled(bottles: readonly Bottle[], remedy: RemedyId): (Bottle & { perLitre: number }) | null {
  for (const bottle of inUse(bottles)) {
    const { perLitre } = bottle;
    if (bottle.active === remedy && perLitre !== null) return { ...bottle, perLitre };
  }
  return null;
}

/**
 * How strong a mix made up by the keeper's own label is, in the measure of mixing/potency: per cent of oil, millilitres a litre of soap
 * and neem; null where no label says, and for what is made up by its label anyway. @example ownStrength([], "neem") // null
 */
export function ownStrength(bottles: readonly Bottle[], remedy: RemedyId): number | null {
  const label = labelled(bottles, remedy);
  if (!label || label.unit !== "mL") return null;
  if (remedy === "oil") return label.perLitre / 10;
  return remedy === "soap" || remedy === "neem" ? label.perLitre : null;
}
