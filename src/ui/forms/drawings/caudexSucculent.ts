import { pottedRegions } from "./pot";
import { blossom, curve, ellipse, leaf, line, along, strip, type Form } from "../shapes";

export const caudexSucculent: Form<"caudexSucculent"> = {
  lines: [
    { d: strip(146, 186, 108, 108, 9), fill: "paper" },
    { d: strip(174, 186, 206, 112, 9), fill: "paper" },
    { d: "M104 228Q96 168 148 166Q160 172 172 166Q224 168 216 228Z", fill: "paper" },
    { d: curve([118, 222], [112, 190], [136, 180]) + curve([202, 222], [208, 190], [184, 180]), thin: true },
    ...[-100, -64, -20, 30].map((a) => ({
      d: leaf(106, 106, a, 72, 30),
      fill: a === -100 ? ("hatch" as const) : ("paper" as const),
    })),
    ...[-36, 6, 56, 100].map((a) => ({ d: leaf(208, 108, a, 76, 30), fill: "paper" as const })),
    { d: line([208, 108], along(208, 108, 56, 70)), thin: true },
    { d: line([106, 106], along(106, 106, -64, 64)), thin: true },
    { d: leaf(106, 104, 2, 46, 12), fill: "paper" },
    { d: blossom(214, 28, 18), fill: "paper" },
  ],
  regions: {
    crown: { d: ellipse(106, 104, 20, 15), at: [106, 104] },
    axil: { d: ellipse(192, 140, 15, 12, 60), at: [192, 141] },
    underside: { d: leaf(106, 106, -100, 72, 30), at: [52, 118] },
    upperSide: { d: leaf(208, 108, 100, 76, 30), at: [258, 117] },
    vein: { d: strip(220, 100, 258, 74, 9), at: [246, 82] },
    newLeaf: { d: leaf(106, 104, 0, 54, 18), at: [108, 66] },
    flower: { d: ellipse(214, 28, 22, 22), at: [214, 28] },
    stem: { d: ellipse(160, 196, 34, 20), at: [160, 194] },
    ...pottedRegions,
  },
};
