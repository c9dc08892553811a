import type { SharePrior } from "../learning/share";

/** Plants that came from the same hands, and how many of them showed a pest within {@link SHOWS_WITHIN_DAYS}. */
export interface FromThere {
  readonly plants: number;
  readonly showed: number;
}

/** A plant that shows a pest within so many days of coming counts as having brought it (HOUSE). */
export const SHOWS_WITHIN_DAYS = 90;

/** Before any of a seller's plants was seen: one in ten brings something, which weighs as much as ten plants (HOUSE). */
export const ARRIVALS_PRIOR: SharePrior = { share: 0.1, weigh: 10 };

/** One from the same tray of the grower, come the same day, tells as much as so many of the seller's others (HOUSE). */
const TRAY_MATE_COUNTS = 4;

/**
 * The chance that a plant carries something when it comes, by what is believed beforehand, {@link ARRIVALS_PRIOR} where nobody else has told: (1 + k) / (10 + n) with n plants of the seller's of which k showed a
 * pest; those of its own tray count four times. Throws RangeError where more showed than there are.
 * Source: our own estimate (HOUSE): a beta prior of one in ten, worth ten plants.
 * @example arrivalShare({ plants: 0, showed: 0 }, { plants: 0, showed: 0 }) // 0.1
 */
export function arrivalShare(
  seller: FromThere,
  tray: FromThere,
  { share, weigh }: SharePrior = ARRIVALS_PRIOR,
): number {
  for (const { plants, showed } of [seller, tray])
    if (!(showed >= 0 && showed <= plants)) throw new RangeError(`${showed} of ${plants} plants showed a pest`);
  const showed = seller.showed + TRAY_MATE_COUNTS * tray.showed;
  const plants = seller.plants + TRAY_MATE_COUNTS * tray.plants;
  return (share * weigh + showed) / (weigh + plants);
}
