import type { KillRange } from "../../knowledge/remedies/remedies";

/** One way the world may be: how much the keeper's hand misses, and how well the pest breeds. */
export interface Scenario {
  /** Factor on what a treatment misses. */
  readonly escape: number;
  /** Which column of the kill table holds. */
  readonly column: keyof KillRange;
  /** Factor on egg laying. */
  readonly eggs: number;
  /** Probability before anything was seen. */
  readonly prior: number;
}

/** What the keeper's hand misses: 2.5 times as much, as much, a third of the technique's own figure (HOUSE). */
export const reaches = [
  { escape: 2.5, column: "low", prior: 0.25 },
  { escape: 1, column: "likely", prior: 0.5 },
  { escape: 1 / 3, column: "high", prior: 0.25 },
] as const;

/** Egg laying on this plant against the table (HOUSE). */
const broods = [
  { eggs: 0.6, prior: 0.25 },
  { eggs: 1, prior: 0.5 },
  { eggs: 1.3, prior: 0.25 },
] as const;

/** The nine scenarios, reach slowest; their priors sum to 1. */
export const allScenarios: readonly Scenario[] = reaches.flatMap(({ escape, column, prior }) =>
  broods.map((brood) => ({ escape, column, eggs: brood.eggs, prior: prior * brood.prior })),
);

/** The nine with other weights of reach ×2.5, ×1, ×⅓ beforehand, which sum to 1; the usual ones where left out. */
export function scenariosWith(reachPrior: readonly number[] | undefined): readonly Scenario[] {
  if (!reachPrior) return allScenarios;
  return allScenarios.map((scenario, k) => {
    const i = Math.floor(k / broods.length);
    return { ...scenario, prior: (scenario.prior / reaches[i]!.prior) * reachPrior[i]! };
  });
}

/** Only the middle one: reach and egg laying as the tables say. */
export const likelyScenario: readonly Scenario[] = [{ escape: 1, column: "likely", eggs: 1, prior: 1 }];

/** Sums nine weights, or any three numbers a reach, by reach. @returns one number for each of {@link reaches} */
export function byReach(weights: readonly number[]): [number, number, number] {
  const of = (i: number) =>
    weights.slice(i * broods.length, (i + 1) * broods.length).reduce((sum, weight) => sum + weight, 0);
  return [of(0), of(1), of(2)];
}
