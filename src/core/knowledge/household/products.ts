import { predatorIds, systemicIds, systemics, type LastingRemedy, type SystemicId } from "../remedies/lasting";
import { remedyIds, remedyOf, type RemedyId } from "../remedies/remedies";
import { soilRemedyIds } from "../remedies/soilRemedies";

/** Whatever is put on plants, by one name each: a soil remedy that is a leaf remedy too has one name for both. */
export const productIds = [
  ...new Set([...remedyIds, ...soilRemedyIds, ...systemicIds, ...predatorIds, "dust"] as const),
];
export type ProductId = (typeof productIds)[number];

/** What the label of a bottle may name as its active ingredient: animals come in none, and "one of the usual ones" is no ingredient. */
export const activeIds = [
  ...new Set([...remedyIds, ...soilRemedyIds, ...systemicIds.filter(isSingle), "dust"] as const),
];
export type ActiveId = (typeof activeIds)[number];

function isSingle(id: SystemicId): id is Exclude<SystemicId, "throughTheRoots"> {
  return id !== "throughTheRoots";
}

const isRemedy = (id: ProductId): id is RemedyId => remedyIds.some((one) => one === id);
export const isSystemic = (id: ProductId): id is SystemicId => systemicIds.some((one) => one === id);

/**
 * The group by which resistance to an active ingredient is reckoned; null for what no pest becomes resistant to, or whose mode of
 * action is not settled. Source: IRAC's classification of modes of action, from memory. @example groupOf("abamectin") // "6"
 */
export function groupOf(id: ProductId): string | null {
  if (isRemedy(id)) return remedyOf(id).group;
  if (isSystemic(id)) return (systemics[id] as LastingRemedy).group ?? null;
  return id === "bti" ? "11A" : null;
}

/** What any home has, with no label that says where it may be put: alcohol, soap and weak peroxide. @example isHousehold("soap") // true */
export function isHousehold(id: ProductId): boolean {
  return id === "alcohol" || id === "soap" || id === "peroxide";
}

/** Whether something comes in bottles of its own only. @example isBottledOnly("soap") // false */
export function isBottledOnly(id: ProductId): boolean {
  if (isRemedy(id)) return remedyOf(id).bottledOnly ?? false;
  return isSystemic(id) && ((systemics[id] as LastingRemedy).bottledOnly ?? false);
}
