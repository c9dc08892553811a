import sharp from "sharp";
import { diceFrom } from "@/core/model/clearance/tests/dice";
import type { CardSize } from "@/core/model/inspection/cardSpots";
import type { Corner, Frame } from "../levelled";

/** What lies on a drawn card, and where, mm from its upper left corner. */
export interface Drawn {
  readonly kind: "fly" | "thrips";
  readonly xMm: number;
  readonly yMm: number;
}

/** How hard a drawn card is: a clean one, one in use, or one that was photographed badly as well. */
export const grades = ["clean", "used", "hard"] as const;
export type Grade = (typeof grades)[number];

export const SIZE: CardSize = { widthMm: 75, heightMm: 100 };
const PX_PER_MM = 8;

interface Look {
  readonly grit: number;
  readonly gritMm: readonly [number, number];
  readonly streaks: number;
  readonly shade: number;
  readonly tiltDeg: number;
  readonly blurPx: number;
  readonly apart: number;
}
const looks: Readonly<Record<Grade, Look>> = {
  clean: { grit: 6, gritMm: [0.15, 0.45], streaks: 0, shade: 0.1, tiltDeg: 3, blurPx: 0, apart: 5 },
  used: { grit: 25, gritMm: [0.15, 0.8], streaks: 5, shade: 0.3, tiltDeg: 8, blurPx: 0.6, apart: 3.5 },
  hard: { grit: 50, gritMm: [0.15, 1.1], streaks: 12, shade: 0.5, tiltDeg: 14, blurPx: 1.5, apart: 1.6 },
};

/** A drawn card lying on a table, as a phone would photograph it; the same seed draws the same card. */
export async function drawCard(
  seed: number,
  grade: Grade,
): Promise<{ readonly frame: Frame; readonly drawn: readonly Drawn[]; readonly corners: readonly Corner[] }> {
  const dice = diceFrom(seed).uniform;
  const look = looks[grade];
  const between = (low: number, high: number) => low + (high - low) * dice();
  const drawn: Drawn[] = [];
  const place = (): { x: number; y: number } => {
    for (;;) {
      const at = { x: between(4, SIZE.widthMm - 4), y: between(4, SIZE.heightMm - 4) };
      if (drawn.every(({ xMm, yMm }) => Math.hypot(xMm - at.x, yMm - at.y) >= look.apart)) return at;
    }
  };
  const shapes: string[] = [];
  for (let n = Math.round(between(4, 40)); n > 0; n--) {
    const { x, y } = place();
    drawn.push({ kind: "fly", xMm: x, yMm: y });
    shapes.push(put(fly(between), x, y, between(0, 360)));
  }
  for (let n = Math.round(between(0, 12)); n > 0; n--) {
    const { x, y } = place();
    drawn.push({ kind: "thrips", xMm: x, yMm: y });
    shapes.push(put(thrips(between), x, y, between(0, 360)));
  }
  for (let n = look.grit; n > 0; n--)
    shapes.push(put(grit(between, look.gritMm), between(2, SIZE.widthMm - 2), between(2, SIZE.heightMm - 2), 0));
  for (let n = look.streaks; n > 0; n--) shapes.unshift(streak(between));
  const blue = dice() < 0.2;
  const card = blue ? "#2f6fc4" : "#f2d21b";
  const angle = between(-look.tiltDeg, look.tiltDeg);
  const skew = between(-look.tiltDeg, look.tiltDeg) / 2;
  const frameMm = { width: SIZE.widthMm * 1.45, height: SIZE.heightMm * 1.4 };
  const turned = { cos: Math.cos((angle * Math.PI) / 180), sin: Math.sin((angle * Math.PI) / 180) };
  const lean = Math.tan((skew * Math.PI) / 180);
  // From the card to the picture: leaned, turned about its middle, and moved to the middle of the picture.
  const toPicture = (x: number, y: number): Corner => {
    const [u, v] = [x - SIZE.widthMm / 2 + lean * (y - SIZE.heightMm / 2), y - SIZE.heightMm / 2];
    return {
      x: (frameMm.width / 2 + turned.cos * u - turned.sin * v) * PX_PER_MM,
      y: (frameMm.height / 2 + turned.sin * u + turned.cos * v) * PX_PER_MM,
    };
  };
  const [width, height] = [Math.round(frameMm.width * PX_PER_MM), Math.round(frameMm.height * PX_PER_MM)];
  const origin = toPicture(0, 0);
  const [alongX, alongY] = [toPicture(1, 0), toPicture(0, 1)];
  const matrix = [
    alongX.x - origin.x,
    alongX.y - origin.y,
    alongY.x - origin.x,
    alongY.y - origin.y,
    origin.x,
    origin.y,
  ];
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">
    <defs><linearGradient id="shade" x1="0" y1="0" x2="${between(0.2, 1)}" y2="${between(0.2, 1)}">
      <stop offset="0" stop-color="#000" stop-opacity="0"/><stop offset="1" stop-color="#000" stop-opacity="${look.shade}"/>
    </linearGradient></defs>
    <rect width="100%" height="100%" fill="${dice() < 0.5 ? "#6b4a32" : "#5c6066"}"/>
    <g transform="matrix(${matrix.join(" ")})"><rect width="${SIZE.widthMm}" height="${SIZE.heightMm}" fill="${card}"/>${shapes.join("")}</g>
    <rect width="100%" height="100%" fill="url(#shade)"/></svg>`;
  let picture = sharp(Buffer.from(svg)).ensureAlpha();
  if (look.blurPx > 0.3) picture = picture.blur(look.blurPx);
  const { data, info } = await picture.raw().toBuffer({ resolveWithObject: true });
  const noisy = grain(data, dice);
  const corners = [
    toPicture(0, 0),
    toPicture(SIZE.widthMm, 0),
    toPicture(SIZE.widthMm, SIZE.heightMm),
    toPicture(0, SIZE.heightMm),
  ];
  return { frame: { data: noisy, width: info.width, height: info.height }, drawn, corners };
}

type Between = (low: number, high: number) => number;

const put = (shape: string, x: number, y: number, degrees: number) =>
  `<g transform="translate(${x} ${y}) rotate(${degrees})">${shape}</g>`;

/** A fungus gnat with its wings and legs glued down. */
function fly(between: Between): string {
  const long = between(2.1, 3.3);
  const wide = long * between(0.2, 0.28);
  const wing = (side: number) =>
    `<ellipse cx="${long * 0.15}" cy="${side * wide * between(0.7, 1.2)}" rx="${long * 0.42}" ry="${long * 0.13}" fill="#3a3630" opacity="${between(0.25, 0.5)}" transform="rotate(${side * between(6, 28)})"/>`;
  const legs = [-1, 1].flatMap((side) =>
    [-0.25, -0.1, 0.05].map(
      (at) =>
        `<path d="M ${at * long} ${(side * wide) / 2} q ${between(-0.2, 0.4)} ${side * between(0.4, 0.8)} ${between(-0.4, 0.7)} ${side * between(0.7, 1.2)}" fill="none" stroke="#241f1a" stroke-width=".09"/>`,
    ),
  );
  return `${wing(-1)}${wing(1)}${legs.join("")}<ellipse rx="${long / 2}" ry="${wide / 2}" fill="#1d1916"/><circle cx="${-long / 2}" r="${wide * 0.42}" fill="#15110f"/>`;
}

const thrips = (between: Between): string =>
  `<ellipse rx="${between(0.5, 0.75)}" ry="${between(0.12, 0.17)}" fill="#33271a"/>`;

/** A crumb of mix: brown to black, of no shape in particular. */
function grit(between: Between, [low, high]: readonly [number, number]): string {
  const size = between(low, high) / 2;
  const points = [0, 1, 2, 3, 4, 5, 6].map((i) => {
    const far = size * between(0.6, 1.1);
    return `${(far * Math.cos((i / 7) * 2 * Math.PI)).toFixed(3)},${(far * Math.sin((i / 7) * 2 * Math.PI)).toFixed(3)}`;
  });
  const brown = Math.round(between(20, 110));
  return `<polygon points="${points.join(" ")}" fill="rgb(${brown},${Math.round(brown * 0.8)},${Math.round(brown * 0.6)})"/>`;
}

/** A smear in the glue. */
function streak(between: Between): string {
  const [x, y] = [between(5, SIZE.widthMm - 5), between(5, SIZE.heightMm - 5)];
  return `<path d="M ${x} ${y} q ${between(-15, 15)} ${between(-15, 15)} ${between(-30, 30)} ${between(-30, 30)}" fill="none" stroke="${between(0, 1) < 0.5 ? "#fff" : "#4a3c10"}" stroke-opacity="${between(0.08, 0.3)}" stroke-width="${between(0.3, 1.4)}" stroke-linecap="round"/>`;
}

/** The grain of a phone's camera. */
function grain(data: Buffer, dice: () => number): Uint8ClampedArray {
  const noisy = new Uint8ClampedArray(data);
  for (let i = 0; i < noisy.length; i += 4) {
    const off = (dice() + dice() - 1) * 12;
    for (const c of [0, 1, 2]) noisy[i + c] = noisy[i + c]! + off;
  }
  return noisy;
}
