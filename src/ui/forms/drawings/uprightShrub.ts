import { pottedRegions } from "./pot";
import { along, blossom, curve, ellipse, leaf, line, strip, type Form } from "../shapes";

const leaves = [
  [104, 140, -100, "hatch"],
  [96, 112, -50, "paper"],
  [112, 84, -20, "paper"],
  [128, 118, 40, "paper"],
  [216, 146, 100, "paper"],
  [224, 110, 60, "paper"],
  [206, 84, 14, "paper"],
  [192, 122, -40, "paper"],
  [160, 76, -46, "paper"],
  [160, 76, 44, "paper"],
] as const;

export const uprightShrub: Form<"uprightShrub"> = {
  lines: [
    { d: "M152 230Q156 190 154 154L166 154Q164 190 168 230Z", fill: "paper" },
    { d: curve([156, 168], [116, 150], [98, 104]) + curve([164, 164], [206, 148], [216, 100]) },
    { d: curve([160, 156], [158, 110], [160, 70]) },
    { d: curve([128, 150], [112, 142], [102, 140]) + curve([194, 146], [206, 146], [218, 146]) },
    ...leaves.map(([x, y, a, fill]) => ({ d: leaf(x, y, a, 62, 32), fill })),
    { d: line([224, 110], along(224, 110, 60, 56)), thin: true },
    { d: leaf(160, 70, 0, 44, 12), fill: "paper" },
    { d: blossom(230, 40, 18), fill: "paper" },
    { d: curve([212, 90], [216, 66], [226, 54]) },
  ],
  regions: {
    axil: { d: ellipse(136, 156, 17, 13, 30), at: [133, 155] },
    underside: { d: leaf(104, 140, -100, 62, 32), at: [68, 148] },
    upperSide: { d: leaf(216, 146, 100, 62, 32), at: [252, 154] },
    vein: { d: strip(232, 104, 268, 84, 9), at: [258, 90] },
    newLeaf: { d: leaf(160, 72, 0, 54, 20), at: [160, 40] },
    flower: { d: ellipse(230, 40, 22, 22), at: [230, 40] },
    stem: { d: strip(160, 214, 160, 176, 12), at: [160, 192] },
    ...pottedRegions,
  },
};
