import { daysBetween, type Day } from "../../shared/days";
import { groupBy } from "../../shared/groupBy";
import type { Search } from "../../model/inspection/see";
import type { ToolId } from "../../model/inspection/tools";
import type { PestId } from "../../knowledge/pests/pests";
import type { GrowthFormId } from "../../knowledge/plants/growthForms";
import type { SpotId } from "../../knowledge/plants/spots";

/** A look at some spots of a plant, with what it found; `spots` of a find are empty where nobody said where it sat. */
export interface SightLook {
  readonly plantId: string;
  readonly growthForm: GrowthFormId;
  readonly day: Day;
  readonly at: Date;
  readonly tool: ToolId;
  readonly spots: readonly SpotId[];
  /** Whose eye it was: the account, or the name where nobody had one. */
  readonly keeper: string;
  /** The name it was recorded under. */
  readonly name: string;
  readonly finds: readonly {
    readonly pest: PestId;
    readonly spots: readonly SpotId[];
    readonly animals: number;
    /** Whether all that were seen were killed on the spot: whoever looks afterwards cannot see them. */
    readonly removed: boolean;
  }[];
}

/** A look, and what another within two days of it found where it looked too. */
export interface SightPair {
  readonly look: SightLook;
  readonly pest: PestId;
  readonly saw: boolean;
  /** How many the other found at most, and with what and where. */
  readonly animals: number;
  readonly foundWith: Search;
  /** Whose eye the other was. */
  readonly foundBy: string;
  /** When both had been done: from then on it is known. */
  readonly knownAt: Date;
}

const NEAR_DAYS = 2;

/** What one keeper writes down of one day with one tool is one look, also where each find came in on its own, as rows of a table do. */
const isOneLook = (a: SightLook, b: SightLook) => a.keeper === b.keeper && a.tool === b.tool && a.day === b.day;

/**
 * Each look at a plant within two days of another that found something where it looked too, with no treatment between the two
 * (`treated` gives the moments of a plant's treatments) and nothing picked off before it. What nobody found tells nothing; however often
 * something was found near by, one look was one chance to see it. In the order of the looks. @example sightPairs([], () => []) // []
 */
export function sightPairs(
  looks: readonly SightLook[],
  treated: (plantId: string) => readonly Date[],
): readonly SightPair[] {
  return [...groupBy(looks, (look) => look.plantId)].flatMap(([plantId, own]) => {
    const found = own.filter(({ finds }) => finds.length > 0);
    if (found.length === 0) return [];
    const done = treated(plantId);
    const between = (a: Date, b: Date) => done.some((at) => at > (a < b ? a : b) && at <= (a < b ? b : a));
    return own.flatMap((look) => {
      const beside = found.filter(
        (one) =>
          !isOneLook(one, look) && Math.abs(daysBetween(look.day, one.day)) <= NEAR_DAYS && !between(look.at, one.at),
      );
      const inSight = beside.flatMap((one) =>
        one.finds
          // Who looked at the leaves alone could not see what sat on the roots.
          .filter(({ spots }) => (spots.length > 0 ? spots : one.spots).some((spot) => look.spots.includes(spot)))
          .filter(({ removed }) => !removed || one.at >= look.at)
          .map((find) => ({
            ...find,
            at: one.at,
            foundBy: one.keeper,
            foundWith: { tool: one.tool, spots: one.spots },
          })),
      );
      return [...groupBy(inSight, ({ pest }) => pest)].map(([pest, finds]): SightPair => {
        const most = finds.reduce((best, find) => (find.animals > best.animals ? find : best));
        const saw = look.finds.some((find) => find.pest === pest);
        const knownAt = most.at > look.at ? most.at : look.at;
        const { animals, foundWith, foundBy } = most;
        return { look, pest, saw, animals, foundWith, foundBy, knownAt };
      });
    });
  });
}
