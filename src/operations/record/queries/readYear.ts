import { yearOf, yearsOf, type YearReview } from "@/core/advice/ledger/year";
import { costOf, drawsOf, fromBottles, usedIn } from "@/core/advice/household/cupboard";
import { photoPairs, type PhotoPair } from "@/core/advice/ledger/photoPairs";
import type { ActiveId } from "@/core/knowledge/household/products";
import { standing } from "@/core/record/facts/facts";
import { inParallel } from "@/db/query";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as plantStates from "@/db/stores/plants/plantStates";
import { instantOf } from "@/zones";
import { scopeOf, today, type Context } from "../../shared/context";
import { countedCases } from "../countedCases";

export interface YearView {
  readonly review: YearReview;
  /** The years that may be looked at, the newest first. */
  readonly years: readonly number[];
  /** Names of places, by id. */
  readonly places: Readonly<Record<string, string>>;
  /** The plants of relapses and of photos, by id. */
  readonly plants: Readonly<Record<string, string>>;
  /** What was used of each active ingredient, and what that cost of bottles whose price is known; in the keeper's money. */
  readonly used: readonly { readonly active: ActiveId; readonly ml: number }[];
  readonly cost: number;
  /** How plants looked first and last in the year. */
  readonly pairs: readonly PhotoPair[];
}

/** So many pairs are shown: as many as a page takes. */
const PAIRS = 6;

/** What a year of the calendar has brought; the newest with a find where none is asked for, or one of which nothing is known. */
export async function readYear(context: Context, asked: number | null): Promise<YearView> {
  const scope = scopeOf(context, "read");
  const counted = await countedCases(context);
  const known = yearsOf(counted);
  const now = Number(today(context).slice(0, 4));
  const year = known.find((one) => one === asked) ?? known[0] ?? now;
  const review = yearOf(counted, year);
  const { bottles, alcoholPercent, timeZone } = context.collection;
  const isIn = ({ day }: { readonly day: string }) => day.startsWith(`${year}-`);
  const begins = instantOf(`${year}-01-01T00:00`, timeZone);
  // What came out of a bottle before counts for how full it was.
  const opened = bottles.flatMap(({ openedOn }) => openedOn ?? []).map((on) => instantOf(`${on}T00:00`, timeZone));
  const since = opened.reduce((first, one) => (one < first ? one : first), begins);
  const [all, acts, photos] = await inParallel(
    scope,
    () => places.all(scope),
    () => facts.from(scope, "act", since),
    () => facts.from(scope, "photo", begins),
  );
  const draws = drawsOf(
    standing(acts).map(({ day, act, caseId }) => ({ day, act, caseId })),
    { bottles, alcoholPercent },
  );
  const pairs = photoPairs(standing(photos).filter(isIn)).slice(0, PAIRS);
  const plants = await plantStates.of(
    scope,
    [...review.relapses, ...pairs].map(({ plantId }) => plantId),
  );
  return {
    review,
    years: known.length > 0 ? known : [now],
    places: Object.fromEntries(all.map(({ id, name }) => [id, name])),
    plants: Object.fromEntries(plants.map(({ id, code, name }) => [id, `${code} ${name}`])),
    used: usedIn(draws.filter(isIn)),
    cost: costOf(fromBottles(draws, bottles).filter(isIn), bottles),
    pairs,
  };
}
