import { pottedRegions } from "./pot";
import { along, curve, ellipse, leaf, line, strip, type Form } from "../shapes";

const leaves = [
  [150, 226, 92, 150, -58, "hatch"],
  [170, 226, 236, 156, 62, "paper"],
  [154, 226, 118, 106, -30, "paper"],
  [166, 226, 206, 104, 34, "paper"],
  [160, 226, 160, 96, 2, "paper"],
] as const;

export const clumpingFoliage: Form<"clumpingFoliage"> = {
  lines: [
    ...leaves.flatMap(([x1, y1, x2, y2, a, fill]) => [
      { d: curve([x1, y1], [x1, (y1 + y2) / 2], [x2, y2]) },
      { d: leaf(x2, y2, a, 84, 40), fill },
    ]),
    { d: line([206, 104], along(206, 104, 34, 76)), thin: true },
    { d: line([160, 96], along(160, 96, 2, 76)), thin: true },
    { d: leaf(146, 150, -8, 54, 9), fill: "paper" },
    { d: curve([146, 226], [142, 190], [146, 150]) },
    { d: "M144 228Q140 200 152 192L158 228Z", fill: "paper" },
    { d: "M176 228Q182 202 170 194L163 228Z", fill: "paper" },
    { d: curve([174, 226], [214, 214], [232, 208]) },
    { d: ellipse(240, 206, 9, 14, 70), fill: "paper" },
  ],
  regions: {
    crown: { d: ellipse(160, 194, 14, 14), at: [160, 192] },
    axil: { d: ellipse(118, 118, 14, 12), at: [118, 112] },
    underside: { d: leaf(92, 150, -58, 84, 40), at: [58, 130] },
    upperSide: { d: leaf(236, 156, 62, 84, 40), at: [272, 138] },
    vein: { d: strip(212, 96, 242, 52, 9), at: [230, 70] },
    newLeaf: { d: leaf(146, 152, -8, 60, 16), at: [142, 140] },
    flower: { d: ellipse(240, 206, 20, 15), at: [242, 206] },
    stem: { d: strip(202, 190, 222, 166, 10), at: [212, 178] },
    sheath: { d: "M140 226Q136 200 152 190L158 226Z", at: [136, 204] },
    ...pottedRegions,
  },
};
