import type { CardSize } from "@/core/model/inspection/cardSpots";
import { meanOf } from "@/core/shared/mean";
import { fromMask, getPerspectiveWarp, Image, Mask, type Point } from "image-js";

/** A picture as a canvas gives it: four bytes a pixel (red, green, blue, opacity), row by row. */
export interface Frame {
  readonly data: Uint8ClampedArray | Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** A place on a picture, pixels from its upper left corner. */
export interface Corner {
  readonly x: number;
  readonly y: number;
}

/** A card as if it had been photographed straight from above and upright, at a known scale. */
export interface Levelled extends Frame {
  readonly pxPerMm: number;
}

/** So fine, and no more pixels in all: a thrips on a card is ten pixels long, and a phone is done in seconds. */
const CARD_PX_PER_MM = 8;
const MOST_PIXELS = 2_400_000;

const imageOf = ({ data, width, height }: Frame) =>
  new Image(width, height, { data: new Uint8Array(data.buffer, data.byteOffset, data.byteLength), colorModel: "RGBA" });

/** The card is looked for on a picture of about this many pixels along its longer side. */
const SEARCH_PX = 320;
/** A pixel belongs to the card when its colour is so near to that of the card's middle: share of each colour in the whole, and light. */
const NEAR_SHARE = 0.055;
const LIGHT = [0.45, 1.7] as const;
/** A card covers at least so much of its picture. */
const LEAST_COVER = 0.06;

/**
 * The four corners of the card that lies in the middle of a picture, clockwise from the upper left; null where nothing there stands out
 * from what is around it. The card is told by its colour: the median of the picture's middle.
 */
export function findCard(frame: Frame): readonly Corner[] | null {
  const factor = Math.min(1, SEARCH_PX / Math.max(frame.width, frame.height));
  const small = imageOf(frame).resize({
    width: Math.max(8, Math.round(frame.width * factor)),
    height: Math.max(8, Math.round(frame.height * factor)),
    preserveAspectRatio: false,
  });
  const { width, height } = small;
  const { data } = small.getRawImage();
  const middle = medianColour(data, width, height);
  const mask = new Mask(width, height);
  for (let i = 0; i < width * height; i++) if (isNear(data, i, middle)) mask.setBitByIndex(i, 1);
  // Flies and glue bite into its edge.
  const card = fromMask(mask.close({ iterations: 2 }))
    .getRois({ minSurface: LEAST_COVER * width * height })
    .sort((a, b) => b.surface - a.surface)[0];
  if (!card || card.surface > 0.985 * width * height) return null;
  const corners = largestQuad(outermost(card.absolutePoints));
  // A card is nearly all of what its corners span; a shape of another kind is not.
  if (!corners || card.surface < 0.75 * areaOf(corners)) return null;
  return corners.map(({ x, y }) => ({ x: x / factor, y: y / factor }));
}

/** The points that lie furthest in each of so many directions: docs/decisions/pictures-without-contours.md. */
const DIRECTIONS = 72;

function outermost(points: readonly Point[]): readonly Corner[] {
  const found = new Set<Point>();
  for (let i = 0; i < DIRECTIONS; i++) {
    const [dx, dy] = [Math.cos((2 * Math.PI * i) / DIRECTIONS), Math.sin((2 * Math.PI * i) / DIRECTIONS)];
    let furthest = points[0]!;
    for (const point of points)
      if (point.column * dx + point.row * dy > furthest.column * dx + furthest.row * dy) furthest = point;
    found.add(furthest);
  }
  return [...found].map(({ column, row }) => ({ x: column + 0.5, y: row + 0.5 }));
}

type Colour = readonly [red: number, green: number, blue: number];

function medianColour(data: ArrayLike<number>, width: number, height: number): Colour {
  const channels: [number[], number[], number[]] = [[], [], []];
  for (let y = Math.floor(height * 0.38); y < height * 0.62; y++)
    for (let x = Math.floor(width * 0.38); x < width * 0.62; x++)
      channels.forEach((values, c) => values.push(data[4 * (y * width + x) + c]!));
  return channels.map((values) => values.sort((a, b) => a - b)[values.length >> 1]!) as unknown as Colour;
}

function isNear(data: ArrayLike<number>, i: number, [r, g, b]: Colour): boolean {
  const [pr, pg, pb] = [data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!];
  const [whole, pixel] = [r + g + b || 1, pr + pg + pb || 1];
  const off = Math.max(
    Math.abs(r / whole - pr / pixel),
    Math.abs(g / whole - pg / pixel),
    Math.abs(b / whole - pb / pixel),
  );
  return off <= NEAR_SHARE && pixel >= LIGHT[0] * whole && pixel <= LIGHT[1] * whole;
}

function areaOf(points: readonly Corner[]): number {
  return (
    Math.abs(
      points.reduce((sum, { x, y }, i) => {
        const next = points[(i + 1) % points.length]!;
        return sum + x * next.y - next.x * y;
      }, 0),
    ) / 2
  );
}

/** The four of some points that span the most. */
function largestQuad(hull: readonly Corner[]): readonly Corner[] | null {
  const n = hull.length;
  if (n < 4) return null;
  const side = (a: Corner, b: Corner, p: Corner) => (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);
  let best: { readonly area: number; readonly corners: readonly Corner[] } | null = null;
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      const [a, b] = [hull[i]!, hull[j]!];
      let [left, right]: [Corner | null, Corner | null] = [null, null];
      let [most, least] = [0, 0];
      for (const p of hull) {
        const s = side(a, b, p);
        if (s > most) [most, left] = [s, p];
        if (s < least) [least, right] = [s, p];
      }
      if (left && right && most - least > (best?.area ?? 0))
        best = { area: most - least, corners: [a, left, b, right] };
    }
  return best && clockwise(best.corners);
}

/** Four corners clockwise from the upper left one. */
function clockwise(corners: readonly Corner[]): readonly Corner[] {
  const middle = { x: meanOf(corners.map(({ x }) => x))!, y: meanOf(corners.map(({ y }) => y))! };
  const around = [...corners].sort(
    (a, b) => Math.atan2(a.y - middle.y, a.x - middle.x) - Math.atan2(b.y - middle.y, b.x - middle.x),
  );
  const first = around.reduce((least, { x, y }, i) => (x + y < around[least]!.x + around[least]!.y ? i : least), 0);
  return [...around.slice(first), ...around.slice(0, first)];
}

/** How wide and how high a card is on its picture, px, given its four corners in turn: the mean of either pair of sides. */
export function sidesOf(corners: readonly Corner[]): { readonly across: number; readonly down: number } {
  const [a, b, c, d] = clockwise(corners) as [Corner, Corner, Corner, Corner];
  const far = (p: Corner, q: Corner) => Math.hypot(p.x - q.x, p.y - q.y);
  return { across: (far(a, b) + far(c, d)) / 2, down: (far(a, d) + far(b, c)) / 2 };
}

/**
 * The card between four corners (in turn around it), as if seen straight from above and standing upright: the longer side of it on the
 * picture is the longer side of `size`. Throws RangeError where the corners do not span a card.
 */
export function level(
  frame: Frame,
  corners: readonly Corner[],
  size: CardSize,
  mostPxPerMm = CARD_PX_PER_MM,
): Levelled {
  if (corners.length !== 4 || areaOf(corners) < 100) throw new RangeError("four corners of a card are needed");
  const [a, b, c, d] = clockwise(corners) as [Corner, Corner, Corner, Corner];
  const { across, down } = sidesOf(corners);
  const [short, long] = [Math.min(size.widthMm, size.heightMm), Math.max(size.widthMm, size.heightMm)];
  const lying = across > down;
  const seen = Math.max(across, down) / long;
  const pxPerMm = Math.min(mostPxPerMm, Math.max(1, seen), Math.sqrt(MOST_PIXELS / (short * long)));
  const [width, height] = (lying ? [long, short] : [short, long]).map((mm) => Math.round(mm * pxPerMm)) as [
    number,
    number,
  ];
  const points: Point[] = [a, b, c, d].map(({ x, y }) => ({ column: x, row: y }));
  const { matrix } = getPerspectiveWarp(points, { width, height });
  const flat = imageOf(frame).transform(matrix, { width, height, inverse: true });
  const upright = lying ? flat.rotate(90) : flat;
  return { data: upright.getRawImage().data as Uint8Array, width: upright.width, height: upright.height, pxPerMm };
}
