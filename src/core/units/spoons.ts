import { fromMillilitres, type Measure, type Millilitres } from "./volume";

/** What the keeper measures small amounts with. */
export const spoonSets = ["syringe", "metric", "us"] as const;
export type SpoonSet = (typeof spoonSets)[number];

/** A volume told in one kitchen measure, rounded to what a hand can level off. */
export interface Pour {
  readonly measure: Measure;
  /** In quarters for spoons, in halves for cups, in whole drops. */
  readonly count: number;
  /** count × measure − the exact volume, as a share of the exact volume (−0.1 = a tenth too little). */
  readonly error: number;
}

/** Nobody counts more than this many spoonfuls; beyond it a jug is meant (common practice). */
const MOST_SPOONFULS = 6;

/** A larger spoon is taken where it is off by no more than this; else whichever comes nearest (HOUSE). */
const NEAR_ENOUGH = 0.1;

const spoonsOf: Record<SpoonSet, readonly { measure: Measure; step: number; from: number }[]> = {
  syringe: [],
  metric: [
    { measure: "metricTablespoon", step: 0.5, from: 1 },
    { measure: "metricTeaspoon", step: 0.25, from: 0.25 },
  ],
  us: [
    { measure: "usCup", step: 0.25, from: 0.5 },
    { measure: "usTablespoon", step: 0.5, from: 1 },
    { measure: "usTeaspoon", step: 0.25, from: 0.25 },
  ],
};

/**
 * The pour nearest to `volume` with the given spoons: the largest spoon that is at least partly filled and measures it to a tenth.
 * Returns null when the keeper uses a syringe (millilitres are then the answer), for 0 mL, for more than six
 * spoonfuls, and under an eighth of a teaspoon, where no spoon is honest any more and drops or a syringe are.
 * Rounding steps are the marks of usual spoon sets (common practice, no source).
 * @example nearestPour(mL(10), "us") // { measure: "usTeaspoon", count: 2, error: -0.014… }
 */
export function nearestPour(volume: Millilitres, spoons: SpoonSet): Pour | null {
  const pours: Pour[] = [];
  for (const { measure, step, from } of spoonsOf[spoons]) {
    const exact = fromMillilitres(volume, measure);
    const count = Math.round(exact / step) * step;
    if (count > MOST_SPOONFULS) break;
    if (count >= from && exact >= from * 0.5) pours.push({ measure, count, error: count / exact - 1 });
  }
  const near = pours.find(({ error }) => Math.abs(error) <= NEAR_ENOUGH);
  return near ?? pours.toSorted((a, b) => Math.abs(a.error) - Math.abs(b.error))[0] ?? null;
}
