import { pottedRegions } from "./pot";
import { blade, ellipse, leaf, type Form } from "../shapes";

export const tankBromeliad: Form<"tankBromeliad"> = {
  lines: [
    { d: blade([148, 226], [70, 190], [36, 128], 34), fill: "hatch" },
    { d: blade([172, 226], [250, 190], [284, 128], 34), fill: "paper" },
    { d: blade([146, 222], [90, 140], [60, 74], 36), fill: "paper" },
    { d: blade([174, 222], [230, 140], [260, 74], 36), fill: "paper" },
    { d: "M152 170L156 84H166L170 170Z", fill: "paper" },
    { d: [-62, -36, -12, 12, 36, 62].map((a) => leaf(161, 86, a, 54, 16)).join(""), fill: "paper" },
    { d: blade([148, 224], [128, 150], [112, 104], 34), fill: "paper" },
    { d: blade([172, 224], [196, 150], [210, 108], 34), fill: "paper" },
    { d: "M128 226Q132 180 142 164Q160 154 180 164Q190 180 192 226Z", fill: "paper" },
    { d: "M142 166Q160 178 180 166", thin: true },
    { d: leaf(146, 164, -18, 42, 14), fill: "paper" },
  ],
  regions: {
    crown: { d: ellipse(166, 166, 20, 11), at: [168, 167] },
    axil: { d: ellipse(120, 192, 15, 13, 40), at: [118, 191] },
    underside: { d: blade([146, 226], [70, 190], [36, 128], 36), at: [66, 174] },
    upperSide: { d: blade([174, 222], [230, 140], [260, 74], 38), at: [234, 124] },
    newLeaf: { d: leaf(146, 166, -18, 48, 22), at: [136, 138] },
    flower: { d: ellipse(161, 64, 44, 30), at: [161, 58] },
    ...pottedRegions,
  },
};
