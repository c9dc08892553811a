import sharp from "sharp";

/** How a drawn leaf looks. */
export type LeafState = "stippled" | "scarred";

const WIDTH = 640;
const HEIGHT = 480;
/** The leaf's outline, and a newer one beside it. */
const LEAF = "M60 400 C120 180 320 60 560 70 C560 260 400 430 60 400 Z";
const NEW_LEAF = "M420 430 C450 350 520 320 600 330 C590 400 510 450 420 430 Z";
const VEINS = Array.from({ length: 7 }, (_, i) => {
  const t = (i + 1) / 8;
  const [x, y] = [60 + 500 * t, 400 - 330 * t];
  return `M${x} ${y} q ${40 - 10 * i} ${-60 + 4 * i} ${70 - 8 * i} ${-70 + 6 * i} M${x} ${y} q ${30 - 2 * i} ${40 - 4 * i} ${90 - 10 * i} ${50 - 6 * i}`;
}).join(" ");

/** Pale specks where animals have sucked, thickest along the midrib; the same on the same leaf. */
function specks(share: number): string {
  let seed = 11;
  const next = () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
  return Array.from({ length: 420 }, () => {
    const t = next();
    const off = (next() + next() - 1) * 90 * Math.sin(Math.PI * t);
    const shown = next() < share;
    return shown
      ? `<circle cx="${60 + 500 * t + off * 0.55}" cy="${400 - 330 * t + off * 0.8}" r="${1.4 + 1.6 * next()}"/>`
      : "";
  }).join("");
}

/**
 * A photo of the demo, as the camera would have given it: a leaf that we have drawn ourselves. Scars stay, fewer of them show as the
 * leaf ages, and what has opened since has none.
 */
export function drawnLeaf(state: LeafState): Promise<Buffer> {
  const since =
    state === "scarred"
      ? `<path d="${NEW_LEAF}" fill="#6fa45a"/><path d="M420 430 Q500 390 600 330" class="rib"/>`
      : "";
  const drawing = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" width="${WIDTH}" height="${HEIGHT}">
    <style>.rib { stroke: #c7d8a8; fill: none; stroke-width: 3 }</style>
    <rect width="${WIDTH}" height="${HEIGHT}" fill="#8b8378"/>
    <path d="${LEAF}" fill="#47753f"/><clipPath id="leaf"><path d="${LEAF}"/></clipPath>
    <g clip-path="url(#leaf)"><path d="M60 400 L560 70" class="rib"/><path d="${VEINS}" class="rib" stroke-opacity=".5"/>
    <g fill="#d9dfb4" fill-opacity=".85">${specks(state === "stippled" ? 1 : 0.6)}</g></g>${since}</svg>`;
  return sharp(Buffer.from(drawing)).jpeg({ quality: 82 }).toBuffer();
}
