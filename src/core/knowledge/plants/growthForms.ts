import type { SpotId } from "./spots";

export interface GrowthForm {
  /** The hiding places this form has; `neck`, `mixTop`, `roots` and `pot` belong to every potted plant. */
  readonly spots: readonly SpotId[];
}

const potted = ["neck", "mixTop", "roots", "pot"] as const satisfies readonly SpotId[];
const leafy = [
  "axil",
  "underside",
  "upperSide",
  "vein",
  "newLeaf",
  "flower",
  "stem",
] as const satisfies readonly SpotId[];

/**
 * Growth forms and the spots they have. Only cacti have areoles, only tubercled and ribbed ones gaps; a leafless
 * stem has no underside. Source: common practice, no source.
 */
export const growthForms = {
  rosetteSucculent: { spots: ["crown", "axil", "underside", "upperSide", "newLeaf", "flower", "stem", ...potted] },
  tubercledCactus: { spots: ["crown", "areole", "gap", "flower", "stem", ...potted] },
  columnarCactus: { spots: ["crown", "areole", "gap", "flower", "stem", ...potted] },
  jointedCactus: { spots: ["axil", "areole", "newLeaf", "flower", "stem", ...potted] },
  stemSucculent: { spots: ["crown", "axil", "flower", "stem", ...potted] },
  caudexSucculent: { spots: ["crown", ...leafy, ...potted] },
  climbingAroid: { spots: [...leafy, "sheath", ...potted] },
  trailingVine: { spots: [...leafy, ...potted] },
  clumpingFoliage: { spots: ["crown", ...leafy, "sheath", ...potted] },
  uprightShrub: { spots: [...leafy, ...potted] },
  cane: { spots: ["crown", ...leafy, "sheath", ...potted] },
  palm: { spots: ["crown", ...leafy, "sheath", ...potted] },
  fern: { spots: ["crown", "axil", "underside", "upperSide", "vein", "newLeaf", "stem", ...potted] },
  pseudobulbOrchid: {
    spots: ["axil", "underside", "upperSide", "vein", "newLeaf", "flower", "stem", "sheath", ...potted],
  },
  fanOrchid: { spots: ["crown", "axil", "underside", "upperSide", "vein", "newLeaf", "flower", "stem", ...potted] },
  tankBromeliad: { spots: ["crown", "axil", "underside", "upperSide", "newLeaf", "flower", ...potted] },
  airPlant: { spots: ["crown", "axil", "underside", "upperSide", "newLeaf", "flower", "stem"] },
  softHerb: { spots: ["crown", ...leafy, ...potted] },
  strapBulb: { spots: ["crown", "axil", "underside", "upperSide", "newLeaf", "flower", "sheath", ...potted] },
} as const satisfies Record<string, GrowthForm>;

export type GrowthFormId = keyof typeof growthForms;
export const growthFormIds = Object.keys(growthForms) as [GrowthFormId, ...GrowthFormId[]];

/** The spots of a growth form, in the order a look goes: from the inside outwards, the pot last. */
export function spotsOf(form: GrowthFormId): readonly SpotId[] {
  return growthForms[form].spots;
}

/** Where the newest growth of a form is looked at: its newest leaf, or the crown of what has none. @example newestGrowth("columnarCactus") // "crown" */
export function newestGrowth(form: GrowthFormId): SpotId {
  const spots = spotsOf(form);
  return (["newLeaf", "crown"] as const).find((spot) => spots.includes(spot)) ?? spots[0]!;
}

/** Forms that grow on from a cutting; of the others only seed, offsets or division make new plants (common practice, no source). */
const fromCuttings: readonly GrowthFormId[] = [
  ...(["rosetteSucculent", "jointedCactus", "stemSucculent", "climbingAroid", "trailingVine"] as const),
  ...(["uprightShrub", "cane", "softHerb"] as const),
];

/** Whether a clean cutting can be taken of a plant of a form. @example isCut("palm") // false */
export function isCut(form: GrowthFormId): boolean {
  return fromCuttings.includes(form);
}
