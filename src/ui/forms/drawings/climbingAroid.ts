import { pottedRegions } from "./pot";
import { along, curve, ellipse, heart, leaf, line, strip, type Form } from "../shapes";

export const climbingAroid: Form<"climbingAroid"> = {
  lines: [
    { d: "M150 228V34Q150 28 160 28Q170 28 170 34V228Z", fill: "paper" },
    { d: [50, 74, 98, 122, 146, 170, 194, 214].map((y) => line([151, y], [169, y - 8])).join(""), thin: true },
    { d: curve([164, 226], [192, 170], [166, 130]) + curve([166, 130], [142, 96], [166, 60]) },
    { d: curve([166, 130], [128, 120], [112, 118]) },
    { d: heart(112, 118, -112, 92, 60), fill: "paper" },
    { d: line([112, 118], along(112, 118, -112, 84)), thin: true },
    { d: curve([180, 168], [206, 160], [214, 152]) },
    { d: heart(214, 152, 108, 92, 58), fill: "hatch" },
    { d: curve([152, 84], [190, 84], [208, 80]) },
    { d: heart(208, 80, 70, 72, 46), fill: "paper" },
    { d: line([208, 80], along(208, 80, 70, 66)), thin: true },
    { d: leaf(166, 62, -6, 52, 13), fill: "paper" },
    { d: curve([174, 196], [120, 200], [104, 186]) },
    { d: "M104 186Q72 190 74 150Q104 150 104 186Z", fill: "paper" },
    { d: strip(98, 180, 84, 162, 3), fill: "ink" },
    { d: "M170 142Q196 134 202 148Q186 158 174 156Z", fill: "paper" },
  ],
  regions: {
    axil: { d: ellipse(158, 128, 17, 13), at: [158, 128] },
    underside: { d: heart(214, 152, 108, 92, 58), at: [260, 172] },
    upperSide: { d: heart(208, 80, 70, 72, 46), at: [244, 62] },
    vein: { d: strip(98, 122, 46, 142, 9), at: [66, 134] },
    newLeaf: { d: leaf(166, 64, -6, 60, 20), at: [162, 36] },
    flower: { d: ellipse(88, 170, 24, 24), at: [86, 176] },
    stem: { d: strip(174, 208, 180, 184, 10), at: [178, 196] },
    sheath: { d: ellipse(188, 148, 18, 11), at: [192, 148] },
    ...pottedRegions,
  },
};
