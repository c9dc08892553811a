import { fromMask, Image, Mask, type Point } from "image-js";
import type { Spot } from "@/core/model/inspection/cardSpots";
import type { Levelled } from "./levelled";

/** What is taken for light and shade is what stays when everything finer is gone, mm. Larger than any animal on a card. */
const SHADE_MM = 7;
/** A pixel belongs to a spot when it is so much darker than the card around it. */
const DARKER = 0.3;
/** Fine grain is smoothed away first, mm. */
const GRAIN_MM = 0.06;
/** What lies so near to the edge is the edge, mm. */
const EDGE_MM = 1.2;
/** What is smaller is grain, mm². */
const LEAST_MM2 = 0.05;

/** More spots than this are no card of flies but a pattern, or the grain of a photo taken in the dark. */
const MOST_SPOTS = 1500;

/** There are too many spots to tell them apart. */
export class TooManySpots extends Error {
  override readonly name = "TooManySpots";
}

/**
 * The dark spots on a levelled card, measured. The channel in which the card is lightest is looked at (flies are dark in all of them); it
 * is divided by its own shade, so that a card lit from one side is as good as an even one. Spots smaller than `leastMm2` are left out.
 * Throws {@link TooManySpots} where there are more than 1,500.
 */
export function spotsOn(card: Levelled, leastMm2 = LEAST_MM2): readonly Spot[] {
  const { width, height, pxPerMm } = card;
  const channel = lightest(card);
  const shade = shadeOf(channel, pxPerMm);
  const fine = channel.gaussianBlur({ sigma: Math.max(0.4, GRAIN_MM * pxPerMm) }).getRawImage().data;
  const mask = new Mask(width, height);
  const contrast = new Float32Array(width * height);
  const edge = Math.round(EDGE_MM * pxPerMm);
  for (let y = edge; y < height - edge; y++)
    for (let x = edge; x < width - edge; x++) {
      const i = y * width + x;
      contrast[i] = 1 - fine[i]! / Math.max(1, shade[i]!);
      if (contrast[i]! >= DARKER) mask.setBitByIndex(i, 1);
    }
  const minSurface = Math.max(1, Math.floor(leastMm2 * pxPerMm ** 2));
  const rois = fromMask(mask, { allowCorners: true }).getRois({ minSurface });
  if (rois.length > MOST_SPOTS) throw new TooManySpots(`${rois.length} spots`);
  return rois.map(({ surface, absolutePoints }): Spot => {
    const dark = absolutePoints.map(({ column, row }) => contrast[row * width + column]!).sort((a, b) => b - a);
    const { x, y, length, width: across } = ellipseOf(absolutePoints);
    return {
      xMm: (x + 0.5) / pxPerMm,
      yMm: (y + 0.5) / pxPerMm,
      areaMm2: surface / pxPerMm ** 2,
      lengthMm: length / pxPerMm,
      widthMm: across / pxPerMm,
      solidity: Math.min(1, surface / ((Math.PI / 4) * length * across)),
      // Its edge is blurred; how dark it is, its darker half says.
      contrast: dark[dark.length >> 2] ?? 0,
    };
  });
}

/**
 * The ellipse that lies as some pixels do: their middle, and the axes of an even ellipse with their variances (four times each standard
 * deviation; a twelfth of a pixel is the pixel's own). Source: moments of area, textbook.
 */
function ellipseOf(points: readonly Point[]) {
  const n = points.length;
  let [x, y] = [0, 0];
  for (const { column, row } of points) [x, y] = [x + column / n, y + row / n];
  let [xx, yy, xy] = [1 / 12, 1 / 12, 0];
  for (const { column, row } of points) {
    xx += (column - x) ** 2 / n;
    yy += (row - y) ** 2 / n;
    xy += ((column - x) * (row - y)) / n;
  }
  const [middle, off] = [(xx + yy) / 2, Math.hypot((xx - yy) / 2, xy)];
  return { x, y, length: 4 * Math.sqrt(middle + off), width: 4 * Math.sqrt(Math.max(1 / 12, middle - off)) };
}

/** The colour in which the card is lightest. */
function lightest({ data, width, height }: Levelled): Image {
  const totals = [0, 1, 2].map((c) => {
    let sum = 0;
    for (let i = c; i < data.length; i += 4 * 7) sum += data[i]!;
    return sum;
  });
  const c = totals.indexOf(Math.max(...totals));
  const grey = new Uint8Array(width * height);
  for (let i = 0; i < grey.length; i++) grey[i] = data[4 * i + c]!;
  return new Image(width, height, { data: grey, colorModel: "GREY" });
}

/** The light on each pixel: the picture made small, without what is darker than its surroundings, and made large again. */
function shadeOf(channel: Image, pxPerMm: number): ArrayLike<number> {
  const { width, height } = channel;
  const step = Math.max(1, Math.round(pxPerMm));
  const small = channel.blur({ width: step | 1, height: step | 1 }).resize({
    width: Math.max(4, Math.round(width / step)),
    height: Math.max(4, Math.round(height / step)),
    preserveAspectRatio: false,
  });
  const cells = Math.min(SHADE_MM | 1, (Math.min(small.width, small.height) - 1) | 1);
  return small
    .medianFilter({ cellSize: Math.max(1, cells), borderType: "replicate" })
    .resize({ width, height, preserveAspectRatio: false })
    .getRawImage().data;
}
