import { mixIds, type MixId } from "../../knowledge/mixes/mixes";
import { isBad, reactionIds, type ReactionId } from "../../knowledge/remedies/reactions";

/** What some plants have said to one mix. */
export interface Borne {
  readonly mix: MixId;
  /** How many bore it with nothing to be seen. */
  readonly well: number;
  /** What was seen, and how often; only what is bad. */
  readonly badly: readonly { readonly what: ReactionId; readonly times: number }[];
}

/**
 * What plants have said, mix by mix in the order of the table; how an oil dried is neither good nor bad.
 * @example borneBy([]) // []
 */
export function toleranceShownBy(
  said: readonly { readonly mix: MixId; readonly what: ReactionId }[],
): readonly Borne[] {
  return mixIds.flatMap((mix): Borne[] => {
    const own = said.filter((one) => one.mix === mix);
    const times = (what: ReactionId) => own.filter((one) => one.what === what).length;
    const badly = reactionIds.filter(isBad).flatMap((what) => (times(what) > 0 ? [{ what, times: times(what) }] : []));
    const well = times("nothing");
    return well > 0 || badly.length > 0 ? [{ mix, well, badly }] : [];
  });
}
