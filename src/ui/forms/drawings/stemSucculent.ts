import { pottedRegions } from "./pot";
import { blossom, curve, ellipse, line, strip, type Form } from "../shapes";

export const stemSucculent: Form<"stemSucculent"> = {
  lines: [
    { d: strip(128, 224, 92, 112, 17), fill: "paper" },
    { d: strip(196, 224, 226, 122, 17), fill: "paper" },
    { d: strip(150, 226, 146, 62, 19), fill: "paper" },
    { d: strip(178, 226, 190, 96, 18), fill: "paper" },
    { d: line([143, 66], [147, 218]) + line([155, 66], [158, 218]), thin: true },
    { d: line([186, 100], [174, 218]) + line([196, 102], [184, 218]), thin: true },
    { d: line([92, 118], [124, 216]) + line([224, 128], [200, 216]), thin: true },
    { d: curve([206, 222], [244, 216], [256, 190]) },
    { d: blossom(258, 174, 25), fill: "paper" },
    { d: ellipse(258, 174, 6, 6), fill: "ink" },
  ],
  regions: {
    crown: { d: ellipse(146, 56, 21, 19), at: [146, 56] },
    axil: { d: ellipse(127, 190, 14, 18), at: [124, 190] },
    flower: { d: ellipse(258, 174, 27, 27), at: [258, 174] },
    stem: { d: strip(184, 160, 188, 124, 17), at: [187, 140] },
    ...pottedRegions,
  },
};
