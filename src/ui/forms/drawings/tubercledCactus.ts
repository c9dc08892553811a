import { pottedRegions } from "./pot";
import { blossom, ellipse, spines, type Form, type Line } from "../shapes";

/** Rows of tubercles on a globe, from the base up. */
const rows = [
  { y: 196, half: 52, n: 5 },
  { y: 166, half: 70, n: 6 },
  { y: 134, half: 74, n: 7 },
  { y: 103, half: 62, n: 6 },
  { y: 77, half: 38, n: 4 },
];
const tubercles = rows.flatMap(({ y, half, n }) =>
  Array.from({ length: n }, (_, i) => [160 - half + (2 * half * i) / (n - 1), y] as const),
);

export const tubercledCactus: Form<"tubercledCactus"> = {
  lines: [
    { d: ellipse(160, 142, 94, 90), fill: "paper" },
    ...tubercles.map(([x, y]): Line => ({
      d: `M${x - 14} ${y + 9}Q${x - 11} ${y - 13} ${x} ${y - 13}Q${x + 11} ${y - 13} ${x + 14} ${y + 9}`,
      thin: true,
    })),
    { d: tubercles.map(([x, y]) => spines(x, y - 13, 10, [-60, -25, 25, 60])).join(""), thin: true },
    { d: blossom(222, 58, 22), fill: "paper" },
    { d: ellipse(222, 58, 6, 6), fill: "ink" },
  ],
  regions: {
    crown: { d: ellipse(160, 62, 34, 16), at: [160, 61] },
    areole: { d: ellipse(86, 118, 19, 17), at: [86, 115] },
    gap: { d: "M146 166Q160 150 174 166L171 182Q160 170 149 182Z", at: [160, 166] },
    flower: { d: ellipse(222, 58, 24, 24), at: [222, 58] },
    stem: { d: ellipse(106, 204, 24, 15, 35), at: [105, 204] },
    ...pottedRegions,
  },
};
