import { blade, curve, ellipse, leaf, line, strip, type Form } from "../shapes";

const wood = "M56 262Q110 244 160 252Q214 244 268 258Q272 282 262 290Q206 280 160 286Q112 280 62 292Q52 278 56 262Z";

/** It sits on a piece of wood: no pot, no mix, no tank. */
export const airPlant: Form<"airPlant"> = {
  unpotted: true,
  lines: [
    { d: wood, fill: "paper" },
    { d: line([84, 270], [136, 264]) + line([186, 266], [240, 272]) + ellipse(116, 276, 12, 4), thin: true },
    { d: blade([150, 246], [84, 226], [40, 168], 18), fill: "hatch" },
    { d: blade([170, 246], [240, 226], [282, 168], 18), fill: "paper" },
    { d: blade([150, 242], [96, 160], [76, 84], 18), fill: "paper" },
    { d: blade([170, 242], [226, 160], [246, 84], 18), fill: "paper" },
    { d: curve([162, 210], [170, 120], [190, 60]) },
    { d: [-30, 0, 30].map((a) => leaf(190, 62, a + 14, 36, 12)).join(""), fill: "paper" },
    { d: blade([152, 240], [130, 150], [112, 70], 16), fill: "paper" },
    { d: leaf(150, 206, -8, 96, 12), fill: "paper" },
    { d: "M138 250Q136 218 148 202Q160 194 172 202Q184 218 182 250Q160 260 138 250Z", fill: "paper" },
  ],
  regions: {
    crown: { d: ellipse(160, 204, 19, 12), at: [162, 202] },
    axil: { d: ellipse(126, 220, 14, 12, 40), at: [124, 220] },
    underside: { d: blade([150, 246], [84, 226], [40, 168], 22), at: [72, 208] },
    upperSide: { d: blade([170, 242], [226, 160], [246, 84], 22), at: [226, 140] },
    newLeaf: { d: leaf(150, 206, -8, 96, 18), at: [142, 140] },
    flower: { d: ellipse(194, 44, 28, 24), at: [196, 42] },
    stem: { d: strip(160, 246, 160, 230, 16), at: [160, 238] },
  },
};
