import { yearOf, yearsOf, type YearReview } from "@/core/advice/ledger/year";
import { inParallel } from "@/db/query";
import * as places from "@/db/stores/places";
import * as plantStates from "@/db/stores/plantStates";
import { scopeOf, today, type Context } from "../../shared/context";
import { countedCases } from "../countedCases";

export interface YearView {
  readonly review: YearReview;
  /** The years that may be looked at, the newest first. */
  readonly years: readonly number[];
  /** Names of places, by id. */
  readonly places: Readonly<Record<string, string>>;
  /** The plants of relapses, by id. */
  readonly plants: Readonly<Record<string, string>>;
}

/** What a year of the calendar has brought; the newest with a find where none is asked for, or one of which nothing is known. */
export async function readYear(context: Context, asked: number | null): Promise<YearView> {
  const scope = scopeOf(context, "read");
  const counted = await countedCases(context);
  const known = yearsOf(counted);
  const now = Number(today(context).slice(0, 4));
  const year = known.find((one) => one === asked) ?? known[0] ?? now;
  const review = yearOf(counted, year);
  const [all, plants] = await inParallel(
    scope,
    () => places.all(scope),
    () =>
      plantStates.of(
        scope,
        review.relapses.map(({ plantId }) => plantId),
      ),
  );
  return {
    review,
    years: known.length > 0 ? known : [now],
    places: Object.fromEntries(all.map(({ id, name }) => [id, name])),
    plants: Object.fromEntries(plants.map(({ id, code, name }) => [id, `${code} ${name}`])),
  };
}
