import type { Day } from "../../shared/days";
import { groupBy } from "../../shared/groupBy";

/** A photo of a plant, and the day it was taken on. */
export interface PhotoOfYear {
  readonly id: string;
  readonly plantId: string;
  readonly day: Day;
}

/** The same plant twice: how it was first, and last. */
export interface PhotoPair {
  readonly plantId: string;
  readonly then: PhotoOfYear;
  readonly now: PhotoOfYear;
}

/**
 * Of each plant that was photographed on several days its first photo and its last, those furthest apart in time first. `photos` in the
 * order in which they were taken; of one day the first counts as then, the last as now. @example photoPairs([]) // []
 */
export function photoPairs(photos: readonly PhotoOfYear[]): readonly PhotoPair[] {
  const apart = ({ then, now }: PhotoPair) => Date.parse(now.day) - Date.parse(then.day);
  return [...groupBy(photos, ({ plantId }) => plantId)]
    .map(([plantId, some]): PhotoPair => ({ plantId, then: some[0]!, now: some.at(-1)! }))
    .filter((pair) => apart(pair) > 0)
    .toSorted((a, b) => apart(b) - apart(a));
}
