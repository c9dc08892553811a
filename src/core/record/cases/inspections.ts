import { cleanLookIn } from "../../acts/acts";
import { nothingExpected } from "../facts/kinds/look";
import { byMoment, type ActDone, type Look } from "../facts/facts";

/** An act by which the plant was looked over and nothing was seen, as the look it was; null for any other. */
function lookIn({ act, plantId, note, ...fact }: ActDone): Look | null {
  const search = cleanLookIn(act);
  if (!search || plantId === null) return null;
  const { id, at, day, recordedAt, recordedBy, recordedAccount, voidReason } = fact;
  const what = { walkId: null, turned: true, naming: null, newLeaves: null, ...nothingExpected, note, finds: [] };
  return {
    id,
    at,
    day,
    recordedAt,
    recordedBy,
    recordedAccount,
    voidReason,
    plantId,
    ...what,
    tool: search.tool,
    spots: [...search.spots],
  };
}

/**
 * Every inspection of a plant, oldest first: its looks, and each time somebody went over it to dab or pick off what is seen and saw
 * none: no treatment, but a look that found nothing. Those struck out are among them, as they are among the facts.
 * @example inspectionsOn({ looks: [], acts: [] }) // []
 */
export function inspectionsOn({
  looks,
  acts,
}: {
  readonly looks: readonly Look[];
  readonly acts: readonly ActDone[];
}): Look[] {
  return [...looks, ...acts.flatMap((act) => lookIn(act) ?? [])].toSorted(byMoment);
}
