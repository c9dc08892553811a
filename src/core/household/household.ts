import type { Sensitivity } from "../plants/sensitivities";
import { predatorIds, systemicIds } from "../remedies/lasting";
import { remedyIds } from "../remedies/remedies";
import { soilRemedyIds } from "../remedies/soilRemedies";

/** Who and what lives with the plants, or comes to them: each rules out or restricts some remedies. */
export const householdIds = ["cats", "birds", "waterAnimals", "bees", "othersRooms"] as const;
export type HouseholdId = (typeof householdIds)[number];

/** Whatever is put on plants, by one name each: a soil remedy that is a leaf remedy too has one name for both. */
export const productIds = [
  ...new Set([...remedyIds, ...soilRemedyIds, ...systemicIds, ...predatorIds, "dust"] as const),
];
export type ProductId = (typeof productIds)[number];

/** What a keeper's home says to remedies. */
export interface Home {
  readonly household: readonly HouseholdId[];
  /** What is not allowed there, or not wanted: countries differ, and so do keepers. */
  readonly notAllowed: readonly ProductId[];
}

/** A home of which nothing is said. */
export const anyHome: Home = { household: [], notAllowed: [] };

/** Why a product is kept out of a home, or off a plant that is eaten. */
export type HomeObjection = HouseholdId | "eaten" | "notAllowed";

interface Rule {
  /** Kept out wherever these are. */
  readonly never?: readonly HouseholdId[];
  /** The keeper is told, and decides. */
  readonly careful?: readonly HouseholdId[];
  /** Whether labels keep it off what is eaten. */
  readonly notOnFood?: true;
}

/**
 * What goes with whom. Pyrethrins harm cats and fish; essential oils cats and birds; neem is kept from water, birds and reptiles;
 * spinosad and pyrethrins harm bees while they are wet, what roots take up harms them in the flower; poisons in rooms of others and
 * of the public are for licensed applicators. Source: labels and poison centres' advice, from memory.
 */
const rules: Partial<Record<ProductId, Rule>> = {
  neem: { careful: ["waterAnimals", "birds"] },
  pyrethrins: { never: ["cats", "waterAnimals", "othersRooms"], careful: ["birds", "bees"] },
  spinosad: { never: ["othersRooms"], careful: ["bees", "waterAnimals"] },
  essentialOil: { never: ["cats", "birds"], careful: ["waterAnimals"] },
  throughTheRoots: { never: ["bees", "othersRooms"], careful: ["cats", "birds", "waterAnimals"], notOnFood: true },
  dust: { careful: ["birds"] },
};

/**
 * What speaks against a product in a home, on a plant with these sensitivities; refusals come first.
 * @example homeObjections("pyrethrins", { household: ["cats"], notAllowed: [] }, []) // [{ level: "refuse", code: "cats" }]
 */
export function homeObjections(
  product: ProductId,
  { household, notAllowed }: Home,
  sensitivities: readonly Sensitivity[],
): readonly { readonly level: "refuse" | "warn"; readonly code: HomeObjection }[] {
  const { never = [], careful = [], notOnFood = false } = rules[product] ?? {};
  const among = (ids: readonly HouseholdId[]) => ids.filter((id) => household.includes(id));
  const refused: HomeObjection[] = [
    ...(notAllowed.includes(product) ? ["notAllowed" as const] : []),
    ...among(never),
    ...(notOnFood && sensitivities.includes("eaten") ? ["eaten" as const] : []),
  ];
  return [
    ...refused.map((code) => ({ level: "refuse", code }) as const),
    ...among(careful).map((code) => ({ level: "warn", code }) as const),
  ];
}

/** Whether something may not be proposed in a home at all. */
export function isKeptOut(product: ProductId, home: Home, sensitivities: readonly Sensitivity[]): boolean {
  return homeObjections(product, home, sensitivities).some(({ level }) => level === "refuse");
}
