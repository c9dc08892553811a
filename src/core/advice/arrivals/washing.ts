import type { GrowthFormId } from "../../knowledge/plants/growthForms";

/** How a plant is washed when it comes. */
export const washes = ["bareRoot", "rinseRoots", "shower", "dunk", "flush"] as const;
export type WashId = (typeof washes)[number];

export interface Washing {
  readonly wash: WashId;
  /** Days it dries, roots in the air, before it is potted; 0 where it is potted at once. */
  readonly dryDays: number;
  /** Days from the wash to its first water. */
  readonly firstWaterDays: number;
}

const succulent: Washing = { wash: "bareRoot", dryDays: 5, firstWaterDays: 12 };
const leafy: Washing = { wash: "shower", dryDays: 0, firstWaterDays: 0 };
const orchid: Washing = { wash: "rinseRoots", dryDays: 0, firstWaterDays: 3 };

/**
 * How a new plant of each form is washed. Cacti and other succulents are bared, washed, dried and potted dry; orchids are rinsed of
 * their bark; leafy plants are showered with the mix covered; what lives in the air is dunked.
 * Source: common practice, no source; days HOUSE.
 */
export const washingOf: Readonly<Record<GrowthFormId, Washing>> = {
  rosetteSucculent: succulent,
  tubercledCactus: { ...succulent, dryDays: 7, firstWaterDays: 14 },
  columnarCactus: { ...succulent, dryDays: 7, firstWaterDays: 14 },
  jointedCactus: succulent,
  stemSucculent: { ...succulent, dryDays: 7, firstWaterDays: 14 },
  caudexSucculent: { ...succulent, dryDays: 7, firstWaterDays: 14 },
  climbingAroid: leafy,
  trailingVine: leafy,
  clumpingFoliage: leafy,
  uprightShrub: leafy,
  cane: leafy,
  palm: leafy,
  fern: leafy,
  pseudobulbOrchid: orchid,
  fanOrchid: orchid,
  tankBromeliad: { wash: "flush", dryDays: 0, firstWaterDays: 0 },
  airPlant: { wash: "dunk", dryDays: 0, firstWaterDays: 2 },
  softHerb: leafy,
  strapBulb: leafy,
};
