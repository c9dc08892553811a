/** How hard measures bite: hardly, mostly, and just as the tables say (HOUSE). */
const bites = [
  { bite: 0.25, prior: 0.25 },
  { bite: 0.7, prior: 0.5 },
  { bite: 1, prior: 0.25 },
] as const;
/** How well flies breed here against the table (HOUSE). */
const broods = [
  { eggs: 0.6, prior: 0.25 },
  { eggs: 1, prior: 0.5 },
  { eggs: 1.3, prior: 0.25 },
] as const;

/** The nine ways the room may be, bite slowest; their priors sum to 1. */
export const gnatScenarios = bites.flatMap(({ bite, prior }) =>
  broods.map((brood) => ({ bite, eggs: brood.eggs, prior: prior * brood.prior })),
);
export type GnatScenario = (typeof gnatScenarios)[number];
