import { pottedRegions } from "./pot";
import { blossom, ellipse, spines, type Form } from "../shapes";

const areoles = [
  [146, 172],
  [174, 172],
  [160, 152],
  [150, 196],
  [176, 194],
  [88, 96],
  [108, 116],
  [86, 124],
  [222, 88],
  [204, 106],
  [226, 116],
] as const;

export const jointedCactus: Form<"jointedCactus"> = {
  lines: [
    { d: ellipse(160, 180, 42, 50), fill: "paper" },
    { d: ellipse(98, 108, 34, 46, -28), fill: "paper" },
    { d: ellipse(216, 102, 34, 46, 24), fill: "paper" },
    { d: ellipse(142, 108, 17, 26, -6), fill: "paper" },
    { d: areoles.map(([x, y]) => spines(x, y, 9, [-50, 0, 50])).join(""), thin: true },
    { d: blossom(244, 46, 20, 6), fill: "paper" },
  ],
  regions: {
    axil: { d: ellipse(124, 148, 17, 12, 40), at: [122, 149] },
    areole: { d: ellipse(216, 106, 20, 18), at: [216, 104] },
    newLeaf: { d: ellipse(142, 106, 18, 27, -6), at: [142, 102] },
    flower: { d: ellipse(244, 46, 23, 23), at: [244, 46] },
    stem: { d: ellipse(162, 184, 30, 26), at: [164, 182] },
    ...pottedRegions,
  },
};
