import type { Sensitivity } from "../plants/sensitivities";
import { systemicIds, type SystemicId } from "../remedies/lasting";
import { isBottles, type Bottle } from "./bottles";
import { isBottledOnly, isHousehold, isSystemic, type ProductId } from "./products";

/** Who and what lives with the plants, or comes to them: each rules out or restricts some remedies. */
export const householdIds = ["cats", "birds", "waterAnimals", "bees", "othersRooms"] as const;
export type HouseholdId = (typeof householdIds)[number];

/** What a keeper's home says to remedies. */
export interface Home {
  readonly household: readonly HouseholdId[];
  /** What is not allowed there, or not wanted: countries differ, and so do keepers. */
  readonly notAllowed: readonly ProductId[];
  /** The bottles in the cupboard, whose labels say where they may be used; none are known of where left out. */
  readonly bottles?: readonly Bottle[];
}

/** A home of which nothing is said. */
export const anyHome: Home = { household: [], notAllowed: [] };

/** Why a product is kept out of a home, or off a plant that is eaten. */
export type HomeObjection = HouseholdId | "eaten" | "notAllowed" | "noBottle" | "labelNotIndoors" | "labelNotOutdoors";

/** The plant, or the place, that something is put on. */
export interface PutOn {
  readonly sensitivities: readonly Sensitivity[];
  /** Whether it stands out of doors; indoors where left out. */
  readonly outdoors?: boolean;
}

interface Rule {
  /** Kept out wherever these are. */
  readonly never?: readonly HouseholdId[];
  /** The keeper is told, and decides. */
  readonly careful?: readonly HouseholdId[];
  /** Whether labels keep it off what is eaten. */
  readonly notOnFood?: true;
}

const poison: Rule = { never: ["othersRooms"], careful: ["bees", "waterAnimals", "birds"] };
const systemicRule: Rule = {
  never: ["bees", "othersRooms"],
  careful: ["cats", "birds", "waterAnimals"],
  notOnFood: true,
};
/**
 * What goes with whom. Pyrethrins and permethrin harm cats and fish; essential oils cats and birds; neem is kept from water, birds and reptiles;
 * spinosad and pyrethrins harm bees while they are wet, what roots take up harms them in the flower; poisons in rooms of others and
 * of the public are for licensed applicators. Source: labels and poison centres' advice, from memory.
 */
const rules: Partial<Record<ProductId, Rule>> = {
  neem: { careful: ["waterAnimals", "birds"] },
  pyrethrins: { never: ["cats", "waterAnimals", "othersRooms"], careful: ["birds", "bees"] },
  permethrin: { never: ["cats", "waterAnimals", "othersRooms"], careful: ["birds", "bees"], notOnFood: true },
  spinosad: { never: ["othersRooms"], careful: ["bees", "waterAnimals"] },
  acetamiprid: { ...poison, notOnFood: true },
  abamectin: { ...poison, notOnFood: true },
  hexythiazox: poison,
  bifenazate: { ...poison, notOnFood: true },
  sulphur: { careful: ["othersRooms", "waterAnimals"] },
  essentialOil: { never: ["cats", "birds"], careful: ["waterAnimals"] },
  ...Object.fromEntries(systemicIds.map((id) => [id, systemicRule])),
  dust: { careful: ["birds"] },
};

/**
 * What speaks against a product in a home, on a plant or a place; refusals come first. Where the cupboard has bottles of it their
 * labels say where it may be used: one that allows it there is enough. On food a label allows goes before the rule of its kind.
 * @example homeObjections("pyrethrins", { household: ["cats"], notAllowed: [] }, { sensitivities: [] }) // [{ level: "refuse", code: "cats" }]
 */
export function homeObjections(
  product: ProductId,
  { household, notAllowed, bottles = [] }: Home,
  { sensitivities, outdoors = false }: PutOn,
): readonly { readonly level: "refuse" | "warn"; readonly code: HomeObjection }[] {
  const { never = [], careful = [], notOnFood = false } = rules[product] ?? {};
  const among = (ids: readonly HouseholdId[]) => ids.filter((id) => household.includes(id));
  const own = bottles.filter((bottle) => isBottles(bottle, product));
  const there = own.filter(({ allowed }) => allowed.includes(outdoors ? "outdoors" : "indoors"));
  const eaten = sensitivities.includes("eaten");
  const labelOnFood =
    there.length > 0 && !isHousehold(product) ? there.some(({ allowed }) => allowed.includes("food")) : !notOnFood;
  const refused: HomeObjection[] = [
    ...(notAllowed.includes(product) ? ["notAllowed" as const] : []),
    ...(own.length === 0 && isBottledOnly(product) ? ["noBottle" as const] : []),
    ...(own.length > 0 && there.length === 0
      ? [outdoors ? ("labelNotOutdoors" as const) : ("labelNotIndoors" as const)]
      : []),
    ...among(never),
    ...(eaten && !labelOnFood ? ["eaten" as const] : []),
  ];
  return [
    ...refused.map((code) => ({ level: "refuse", code }) as const),
    ...among(careful).map((code) => ({ level: "warn", code }) as const),
  ];
}

/** The systemic in the cupboard that may be given to a plant; undefined where there is none. */
export function systemicIn(home: Home, on: PutOn): SystemicId | undefined {
  const single = (home.bottles ?? []).flatMap(({ active }) => (isSystemic(active) ? [active] : []));
  return single.find((id) => !isKeptOut(id, home, on));
}

/** Whether something may not be proposed in a home at all. */
export function isKeptOut(product: ProductId, home: Home, on: PutOn): boolean {
  return homeObjections(product, home, on).some(({ level }) => level === "refuse");
}
