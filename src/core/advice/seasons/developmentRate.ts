import { daysFor } from "../../climate/degreeDays";
import { ln } from "../../shared/exponential";
import { remember } from "../../shared/remember";
import { phaseOf, pestIds, pestOf, type PestId } from "../../knowledge/pests/pests";
import { GUARD_DAYS } from "../../model/inspection/cleanLooks";
import { layoutOf } from "../../model/population/layout";
import { stableGrowth } from "../../model/population/stable";
import { stepFor } from "../../model/population/step";

/** How fast a pest goes at a warmth. */
export interface DevelopmentRate {
  readonly pest: PestId;
  /** Days in which a population left alone doubles; null where it does not grow. */
  readonly doublingDays: number | null;
  /** Days from egg, or birth, to a grown animal; null where it stands still. */
  readonly toAdultDays: number | null;
}

const STEP_DAYS = 0.25;

/** What doubles within so few days is trouble (HOUSE). */
const FAST_DAYS = 6;
/** What does not double while a closed case is watched as good as stands still (HOUSE). */
const STILL_FROM_DAYS = GUARD_DAYS.at(-1)!;

/** Whether a population of this doubling grows fast, grows, or as good as stands still; by whole days, as they are told. @example growthOf(null) // "still" */
export function growthOf(doublingDays: number | null): "fast" | "grows" | "still" {
  if (doublingDays === null) return "still";
  const days = Math.round(doublingDays);
  if (days > STILL_FROM_DAYS) return "still";
  return days <= FAST_DAYS ? "fast" : "grows";
}

/**
 * How fast a pest goes at a mean warmth, °C, on a plant of one site, at the egg laying of the tables. Source: the growth of the model's
 * own step (Euler–Lotka). Throws RangeError unless the warmth is finite. @example developmentRateAt("spiderMite", 24).doublingDays // 3.6
 */
export function developmentRateAt(pest: PestId, meanC: number): DevelopmentRate {
  return remember(knownRates, MOST_KNOWN, `${pest} ${meanC}`, () => workedOut(pest, meanC));
}

/** The same warmth is asked of a hundred shelves, on every page that tells of them. */
const knownRates = new Map<string, DevelopmentRate>();
const MOST_KNOWN = 4096;

function workedOut(pest: PestId, meanC: number): DevelopmentRate {
  const known = pestOf(pest);
  const grown = known.stages.findIndex((stage) => stage.id === "youngAdult" || phaseOf(stage) === "adult");
  const toAdult = known.stages.slice(0, grown).reduce((sum, { degreeDays }) => sum + degreeDays, 0);
  const toAdultDays = daysFor(known, toAdult, meanC);
  if (toAdultDays === null) return { pest, doublingDays: null, toAdultDays };
  const layout = layoutOf(known);
  const dt = stepFor(layout, meanC, STEP_DAYS);
  const { perStep } = stableGrowth(layout, { shelteredShare: 0, deepShare: 0, mixPerDay: 0 }, meanC, dt);
  return { pest, doublingDays: perStep > 1 ? (ln(2) * dt) / ln(perStep) : null, toAdultDays };
}

/** Every pest at a warmth, the fastest first; those that do not grow last. */
export function developmentRatesAt(meanC: number): readonly DevelopmentRate[] {
  return pestIds
    .map((pest) => developmentRateAt(pest, meanC))
    .toSorted((a, b) => (a.doublingDays ?? Infinity) - (b.doublingDays ?? Infinity));
}
