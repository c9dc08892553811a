import { learnedShare, type LearnedShare, type SharePrior } from "../../model/learning/share";
import { groupBy } from "../../shared/groupBy";
import { showedSoon, type CameFrom } from "../spread/record";

/** What plants of one seller have shown. */
export interface SellerTaught {
  readonly seller: string;
  readonly plants: number;
  /** Of them, so many showed a pest soon after they came. */
  readonly showed: number;
  /** How many of those to come are likely to bring something. */
  readonly learned: LearnedShare;
}

/** What each seller's plants have shown, those of most plants first; plants of unknown sellers are left out. @example arrivalsTaught([], ARRIVALS_PRIOR) // [] */
export function arrivalsTaught(came: readonly CameFrom[], before: SharePrior): readonly SellerTaught[] {
  const sellers = groupBy(
    came.filter(({ seller }) => seller !== ""),
    ({ seller }) => seller,
  );
  return [...sellers]
    .map(([seller, plants]) => {
      const showed = plants.filter((plant) => showedSoon(plant).length > 0).length;
      return { seller, plants: plants.length, showed, learned: learnedShare(showed, plants.length, before) };
    })
    .toSorted((a, b) => b.plants - a.plants || (a.seller < b.seller ? -1 : 1));
}
