import { pottedRegions } from "./pot";
import { blossom, ellipse, spines, strip, type Form } from "../shapes";

const ribs = [128, 144, 160, 176, 192];
const heights = [70, 100, 130, 160, 190];

export const columnarCactus: Form<"columnarCactus"> = {
  lines: [
    { d: "M116 228V74Q116 26 160 26Q204 26 204 74V228Z", fill: "paper" },
    ...ribs.map((x) => ({ d: `M${x} 228V78Q${x} 44 ${160 + (x - 160) * 0.4} 34`, thin: true as const })),
    ...[136, 152, 168, 184].map((x) => ({
      d: heights.map((y) => spines(x, y, 8, [-70, -20, 20, 70])).join(""),
      thin: true as const,
    })),
    { d: "M204 96Q222 96 226 84" },
    { d: blossom(236, 70, 22, 7), fill: "paper" },
  ],
  regions: {
    crown: { d: ellipse(160, 40, 26, 16), at: [160, 40] },
    areole: { d: ellipse(184, 100, 15, 14), at: [184, 98] },
    gap: { d: strip(144, 158, 144, 118, 9), at: [144, 138] },
    flower: { d: ellipse(236, 70, 24, 24), at: [236, 70] },
    stem: { d: "M118 176H150V214H118Z", at: [134, 196] },
    ...pottedRegions,
  },
};
