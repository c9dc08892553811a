import { median } from "../../shared/median";

/** A dark spot on a card or a paper, as it was measured on the picture of it, levelled and at a known scale. */
export interface Spot {
  /** Its middle, from the upper left corner of the card, mm. */
  readonly xMm: number;
  readonly yMm: number;
  readonly areaMm2: number;
  /** The axes of the ellipse that lies as it does, mm. */
  readonly lengthMm: number;
  readonly widthMm: number;
  /** Its area ÷ that of this ellipse, 0–1: legs and gaps make it less. */
  readonly solidity: number;
  /** By how much it is darker than the card around it, 0 (not at all) to 1 (black). */
  readonly contrast: number;
}

/** How large a card is, mm; which side is which does not matter. */
export interface CardSize {
  readonly widthMm: number;
  readonly heightMm: number;
}

/** Sizes in which sticky cards are sold, the commonest first. Source: common practice, from memory. */
export const usualCards: readonly CardSize[] = [
  { widthMm: 100, heightMm: 250 },
  { widthMm: 150, heightMm: 200 },
  { widthMm: 100, heightMm: 150 },
  { widthMm: 75, heightMm: 125 },
  { widthMm: 75, heightMm: 100 },
];

/** A card seen aslant looks a little shorter than it is; further off it is a card of another size. Share. Ours. */
const ASLANT = 0.12;

/** Whether a card whose shorter side is `seen` of its longer one on the photo may be of this size. @example fitsSize(0.41, { widthMm: 100, heightMm: 250 }) // true */
export function fitsSize(seen: number, { widthMm, heightMm }: CardSize): boolean {
  const real = Math.min(widthMm, heightMm) / Math.max(widthMm, heightMm);
  return Math.abs(seen / real - 1) <= ASLANT;
}

/** What a spot on a sticky card is taken for. */
export type SpotKind = "fly" | "thrips" | "other";

/**
 * The spans in which an animal on a card lies. A fly is a fungus gnat: its body is 2 to 4 mm long (sizesMm), its legs and wings are glued
 * on beside it, and it is dark all over. Thrips are as thin as a cut hair, 0.8 to 2 mm. Source: body lengths from handbooks of greenhouse
 * pests, from memory; areas and shares are our own, tried on drawn cards only (src/imaging).
 */
const FLY = {
  areaMm2: [0.9, 5.6],
  lengthMm: [1.5, 4.8],
  slim: [1, 6],
  leastContrast: 0.45,
  leastSolidity: 0.55,
} as const;
const THRIPS = {
  areaMm2: [0.1, 0.62],
  lengthMm: [0.7, 2.2],
  slim: [1.85, 9],
  leastContrast: 0.34,
  leastSolidity: 0.7,
} as const;
/** Flies that lie on each other make one spot; more than so many in one cannot be told. */
const MOST_IN_ONE = 4;
/** What one fly covers where there are too few to tell, mm². Ours, from drawn cards. */
const USUAL_FLY_MM2 = 3;
/** A spot is taken for more than one from so much of it, flies. A large fly covers half as much again as the median one. */
const MORE_THAN_ONE = 1.7;
/** From so many single flies on the card their own median is what one covers. */
const ENOUGH = 5;

const within = (value: number, [low, high]: readonly [number, number]) => value >= low && value <= high;

function fits(spot: Spot, kind: typeof FLY | typeof THRIPS): boolean {
  return (
    within(spot.areaMm2, kind.areaMm2) &&
    within(spot.lengthMm, kind.lengthMm) &&
    within(spot.lengthMm / Math.max(spot.widthMm, 1e-6), kind.slim) &&
    spot.contrast >= kind.leastContrast &&
    spot.solidity >= kind.leastSolidity
  );
}

/** What one spot is taken for, by its size, shape and darkness. Source: see the spans. @example judgeSpot(grit) // "other" */
export function judgeSpot(spot: Spot): SpotKind {
  return fits(spot, FLY) ? "fly" : fits(spot, THRIPS) ? "thrips" : "other";
}

/** A spot that counts, and as how many animals: flies glued on each other are one spot. */
export interface CountedSpot extends Spot {
  readonly kind: Exclude<SpotKind, "other">;
  /** 1 or more. */
  readonly many: number;
}

/**
 * The animals among the spots of a card, in the order of the spots. A spot that is too large for one fly and as dark as one counts as so
 * many as its area holds of the card's median fly, at most {@link MOST_IN_ONE}; what is larger still is dirt. An empty list gives an
 * empty list. Source: common practice of counting clumps by their area, no source.
 */
export function countSpots(spots: readonly Spot[]): readonly CountedSpot[] {
  const single = spots.filter((spot) => judgeSpot(spot) === "fly").map(({ areaMm2 }) => areaMm2);
  const one = (single.length >= ENOUGH && median(single)) || USUAL_FLY_MM2;
  return spots.flatMap((spot): CountedSpot[] => {
    const kind = judgeSpot(spot);
    if (kind === "thrips") return [{ ...spot, kind, many: 1 }];
    const clump = kind === "other" && isClump(spot, one);
    if (kind === "other" && !clump) return [];
    const holds = spot.areaMm2 / one;
    return [{ ...spot, kind: "fly", many: holds < MORE_THAN_ONE ? 1 : Math.min(MOST_IN_ONE, Math.round(holds)) }];
  });
}

/** Dark as flies are, larger than one, and no longer than so many of them end to end. */
function isClump({ areaMm2, lengthMm, widthMm, contrast, solidity }: Spot, one: number): boolean {
  const larger = areaMm2 > FLY.areaMm2[1] && areaMm2 <= (MOST_IN_ONE + 0.5) * one;
  const longest = 2 * FLY.lengthMm[1];
  return (
    larger &&
    lengthMm <= longest &&
    lengthMm / widthMm <= FLY.slim[1] &&
    contrast >= FLY.leastContrast &&
    solidity >= FLY.leastSolidity
  );
}

/** Papers that lie in every house: a postcard's size, half a sheet, a sheet. Source: ISO 216, from memory. */
export const usualPapers: readonly CardSize[] = [
  { widthMm: 105, heightMm: 148 },
  { widthMm: 148, heightMm: 210 },
  { widthMm: 210, heightMm: 297 },
];

/** What may walk on a paper under a tapped leaf: from a young mite to a thrips; its area and length. Ours, from sizesMm. */
const WALKER = { areaMm2: [0.04, 1.2], lengthMm: [0.2, 2.2] } as const;
/** The least spot that is looked at on a paper, mm². */
export const LEAST_ON_PAPER_MM2 = WALKER.areaMm2[0];
/** Spots on two photos of one paper are one that lay still when they are no further from each other, mm. Ours: one photo is laid over the other to about a third of this. */
const STILL_MM = 0.6;
/** How long is between the two photos, minutes. Source: mites on paper start to walk within a minute or two, common practice, no source. */
export const PAPER_MINUTES = 2;

/** A paper's corners are found to within so much of where they are on either photo, mm. Ours, from drawn papers. */
const OFF_MM = 3;
/** Fewer spots that agree say nothing of how one photo lies over the other. */
const AGREE = 3;

interface Shift {
  readonly spots: readonly Spot[];
  readonly agree: number;
}

/**
 * The spots of one photo of a paper, laid over those of another: turned by half where that fits better, and shifted as most of them agree.
 * Where fewer than three agree they stay as they are. Never more than the spots given, in their order.
 */
export function laidOver(
  before: readonly Spot[],
  after: readonly Spot[],
  { widthMm, heightMm }: CardSize,
): readonly Spot[] {
  const turned = before.map((spot) => ({ ...spot, xMm: widthMm - spot.xMm, yMm: heightMm - spot.yMm }));
  const [asIs, half] = [shifted(before, after), shifted(turned, after)];
  const best = half.agree > asIs.agree ? half : asIs;
  return best.agree >= AGREE ? best.spots : before;
}

/** Some spots shifted by what brings most of them onto others, and how many that are. */
function shifted(spots: readonly Spot[], onto: readonly Spot[]): Shift {
  const shifts = spots.flatMap((one) =>
    onto
      .map((other) => ({ x: other.xMm - one.xMm, y: other.yMm - one.yMm }))
      .filter(({ x, y }) => Math.hypot(x, y) <= OFF_MM),
  );
  const near = (a: { x: number; y: number }, b: { x: number; y: number }) =>
    Math.hypot(a.x - b.x, a.y - b.y) <= STILL_MM;
  let most: typeof shifts = [];
  for (const shift of shifts) {
    const agreeing = shifts.filter((other) => near(shift, other));
    if (agreeing.length > most.length) most = agreeing;
  }
  const by = (axis: "x" | "y") => most.reduce((sum, one) => sum + one[axis], 0) / Math.max(1, most.length);
  const [x, y] = [by("x"), by("y")];
  return { agree: most.length, spots: spots.map((spot) => ({ ...spot, xMm: spot.xMm + x, yMm: spot.yMm + y })) };
}

/**
 * What moved on a paper between two photos of it: spots of an animal's size on the second that have none of their own beside them on
 * the first. Each spot of the first stands for one of the second. What sat still all the while is not among them. Source: mites are
 * told from grit by their walking, common practice, no source.
 */
export function movedBetween(before: readonly Spot[], after: readonly Spot[]): readonly Spot[] {
  const free = new Set(before);
  const apart = after.filter((spot) => {
    let nearest: Spot | undefined;
    let least = STILL_MM;
    for (const one of free) {
      const far = Math.hypot(one.xMm - spot.xMm, one.yMm - spot.yMm);
      if (far <= least) [nearest, least] = [one, far];
    }
    if (nearest) free.delete(nearest);
    return !nearest;
  });
  return apart.filter(({ areaMm2, lengthMm }) => within(areaMm2, WALKER.areaMm2) && within(lengthMm, WALKER.lengthMm));
}
