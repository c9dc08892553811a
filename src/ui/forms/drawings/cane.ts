import { pottedRegions } from "./pot";
import { blade, curve, ellipse, line, strip, type Form } from "../shapes";

/** Canes with a tuft of strap leaves at their heads, old leaf bases below it. */
export const cane: Form<"cane"> = {
  lines: [
    { d: "M150 230Q154 180 150 118L170 118Q168 180 170 230Z", fill: "paper" },
    { d: [184, 196, 208, 220].map((y) => line([152, y], [168, y])).join(""), thin: true },
    { d: "M168 196Q196 188 204 160L214 166Q206 200 170 212Z", fill: "paper" },
    { d: blade([208, 164], [226, 138], [260, 132], 9) + blade([208, 164], [200, 136], [206, 112], 9), fill: "paper" },
    { d: blade([156, 120], [92, 128], [52, 178], 14), fill: "hatch" },
    { d: blade([164, 120], [232, 90], [276, 108], 14), fill: "paper" },
    { d: blade([156, 116], [90, 84], [42, 92], 14), fill: "paper" },
    { d: blade([164, 112], [212, 58], [250, 42], 14), fill: "paper" },
    { d: blade([156, 112], [116, 58], [82, 36], 14), fill: "paper" },
    { d: blade([160, 112], [158, 70], [150, 26], 11), fill: "paper" },
    { d: curve([166, 112], [184, 66], [188, 40]) + ellipse(190, 30, 9, 12), fill: "paper" },
    { d: "M150 122Q138 134 148 156L158 130Z", fill: "paper" },
    { d: "M170 122Q182 134 172 156L162 130Z", fill: "paper" },
  ],
  regions: {
    crown: { d: ellipse(160, 106, 17, 12), at: [160, 104] },
    axil: { d: ellipse(188, 96, 13, 11, 30), at: [190, 96] },
    underside: { d: blade([156, 120], [92, 128], [52, 178], 18), at: [84, 146] },
    upperSide: { d: blade([164, 120], [232, 90], [276, 108], 18), at: [250, 100] },
    vein: { d: strip(186, 84, 232, 50, 8), at: [226, 54] },
    newLeaf: { d: blade([160, 112], [158, 70], [150, 26], 15), at: [152, 50] },
    flower: { d: ellipse(188, 34, 15, 19), at: [189, 30] },
    stem: { d: strip(160, 214, 160, 186, 12), at: [160, 200] },
    sheath: { d: "M151 122Q134 134 146 162L160 132Z", at: [140, 146] },
    ...pottedRegions,
  },
};
