import { pottedRegions } from "./pot";
import { curve, ellipse, leaf, strip, type Form } from "../shapes";

const outer = [-98, -66, -34, 34, 66, 98];
const inner = [-52, -18, 18, 52];

export const rosetteSucculent: Form<"rosetteSucculent"> = {
  lines: [
    { d: strip(160, 226, 160, 178, 15), fill: "paper" },
    { d: curve([178, 130], [196, 60], [244, 42]) },
    ...[0, 1, 2].map((i) => ({ d: ellipse(222 + i * 14, 50 - i * 10, 7, 11, 40), fill: "paper" as const })),
    ...outer.map((a) => ({ d: leaf(160, 186, a, 108, 46), fill: a === -98 ? ("hatch" as const) : ("paper" as const) })),
    { d: leaf(160, 182, 0, 110, 44), fill: "paper" },
    ...inner.map((a) => ({ d: leaf(160, 178, a, 76, 40), fill: "paper" as const })),
    { d: leaf(160, 174, -10, 46, 28), fill: "paper" },
    { d: leaf(160, 174, 12, 40, 24), fill: "paper" },
  ],
  regions: {
    crown: { d: ellipse(160, 154, 26, 22), at: [160, 152] },
    axil: { d: ellipse(121, 176, 14, 11, -20), at: [119, 177] },
    underside: { d: leaf(160, 186, -98, 108, 46), at: [80, 196] },
    upperSide: { d: leaf(160, 186, 66, 108, 46), at: [230, 154] },
    newLeaf: { d: leaf(160, 170, 0, 96, 22), at: [160, 100] },
    flower: { d: ellipse(238, 40, 26, 18, -30), at: [238, 40] },
    stem: { d: strip(160, 218, 160, 194, 15), at: [160, 203] },
    ...pottedRegions,
  },
};
