import { pottedRegions } from "./pot";
import { along, blossom, curve, ellipse, leaf, line, strip, type Form } from "../shapes";

const leaves = [
  [158, 188, -76, 66, "hatch"],
  [162, 188, 78, 66, "paper"],
  [156, 148, -60, 70, "paper"],
  [164, 148, 62, 70, "paper"],
  [158, 110, -48, 56, "paper"],
  [162, 110, 50, 56, "paper"],
] as const;

export const softHerb: Form<"softHerb"> = {
  lines: [
    { d: curve([160, 228], [154, 160], [160, 88]) },
    { d: curve([164, 228], [166, 160], [164, 88]), thin: true },
    { d: curve([168, 226], [214, 208], [232, 206]) },
    { d: leaf(230, 206, 60, 44, 22) + leaf(230, 206, 130, 40, 20), fill: "paper" },
    ...leaves.map(([x, y, a, length, fill]) => ({ d: leaf(x, y, a, length, 36), fill })),
    { d: line([164, 148], along(164, 148, 62, 62)), thin: true },
    { d: leaf(160, 90, -26, 34, 16) + leaf(162, 90, 26, 34, 16), fill: "paper" },
    { d: leaf(161, 88, 0, 26, 9), fill: "paper" },
    { d: curve([166, 112], [206, 70], [222, 52]) },
    { d: blossom(228, 42, 19), fill: "paper" },
  ],
  regions: {
    crown: { d: ellipse(161, 90, 18, 12), at: [161, 92] },
    axil: { d: ellipse(161, 149, 15, 11), at: [160, 149] },
    underside: { d: leaf(158, 188, -76, 66, 36), at: [116, 178] },
    upperSide: { d: leaf(162, 188, 78, 66, 36), at: [204, 180] },
    vein: { d: strip(180, 140, 220, 118, 9), at: [206, 126] },
    newLeaf: { d: leaf(161, 84, 0, 44, 24), at: [161, 60] },
    flower: { d: ellipse(228, 42, 23, 23), at: [228, 42] },
    stem: { d: strip(160, 212, 158, 176, 10), at: [159, 196] },
    ...pottedRegions,
  },
};
