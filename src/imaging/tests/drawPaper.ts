import sharp from "sharp";
import { diceFrom } from "@/core/model/clearance/tests/dice";
import type { CardSize } from "@/core/model/inspection/cardSpots";
import type { Frame } from "../levelled";

export const PAPER: CardSize = { widthMm: 105, heightMm: 148 };
const PX_PER_MM = 12;

export interface At {
  readonly xMm: number;
  readonly yMm: number;
}

/**
 * Two drawn photos of one white paper, as a phone takes them some minutes apart from nearly the same place: grit stays where it was, so
 * many mites have walked 2 to 12 mm. The same seed draws the same two; `turned` holds the phone the other way up for the second.
 */
export async function drawPaper(
  seed: number,
  walking: number,
  turned = false,
): Promise<{ readonly before: Frame; readonly after: Frame; readonly walked: readonly At[] }> {
  const dice = diceFrom(seed).uniform;
  const between = (low: number, high: number) => low + (high - low) * dice();
  const taken: At[] = [];
  /** Somewhere on the paper where nothing else lies. */
  const free = (near?: At): At => {
    for (;;) {
      const [far, way] = [between(2, 12), between(0, 2 * Math.PI)];
      const at = near
        ? { xMm: near.xMm + far * Math.cos(way), yMm: near.yMm + far * Math.sin(way) }
        : { xMm: between(5, PAPER.widthMm - 5), yMm: between(5, PAPER.heightMm - 5) };
      const inside = at.xMm > 4 && at.yMm > 4 && at.xMm < PAPER.widthMm - 4 && at.yMm < PAPER.heightMm - 4;
      if (inside && taken.every(({ xMm, yMm }) => Math.hypot(xMm - at.xMm, yMm - at.yMm) > 1.5)) {
        taken.push(at);
        return at;
      }
    }
  };
  const grit = Array.from({ length: 30 }, () => ({
    ...free(),
    size: between(0.15, 0.6),
    dark: Math.round(between(20, 110)),
  }));
  const began = Array.from({ length: walking }, () => free());
  const walked = began.map(free);
  const photo = async (mites: readonly At[], upsideDown: boolean): Promise<Frame> => {
    const angle = between(-4, 4) + (upsideDown ? 180 : 0);
    const [wide, high] = [PAPER.widthMm * 1.3, PAPER.heightMm * 1.25];
    const specks = [
      ...grit.map(
        ({ xMm, yMm, size, dark }) =>
          `<rect x="${xMm - size / 2}" y="${yMm - size / 2}" width="${size}" height="${size * 0.8}" fill="rgb(${dark},${dark},${dark})"/>`,
      ),
      ...mites.map(
        ({ xMm, yMm }) =>
          `<ellipse cx="${xMm}" cy="${yMm}" rx=".24" ry=".17" fill="#5c2b16" transform="rotate(${between(0, 180)} ${xMm} ${yMm})"/>`,
      ),
    ];
    const [width, height] = [Math.round(wide * PX_PER_MM), Math.round(high * PX_PER_MM)];
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${wide} ${high}">
      <defs><linearGradient id="shade"><stop offset="0" stop-opacity="0"/><stop offset="1" stop-opacity=".3"/></linearGradient></defs>
      <rect width="100%" height="100%" fill="#3a3d42"/>
      <g transform="translate(${wide / 2 + between(-2, 2)} ${high / 2 + between(-2, 2)}) rotate(${angle}) translate(${-PAPER.widthMm / 2} ${-PAPER.heightMm / 2})">
        <rect width="${PAPER.widthMm}" height="${PAPER.heightMm}" fill="#f4f2ec"/>${specks.join("")}</g>
      <rect width="100%" height="100%" fill="url(#shade)"/></svg>`;
    const { data, info } = await sharp(Buffer.from(svg))
      .blur(0.7)
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return { data, width: info.width, height: info.height };
  };
  return { before: await photo(began, false), after: await photo(walked, turned), walked };
}
