import { pottedRegions } from "./pot";
import { blade, blossom, curve, ellipse, strip, type Form } from "../shapes";

export const fanOrchid: Form<"fanOrchid"> = {
  lines: [
    { d: curve([150, 206], [110, 226], [84, 252]) + curve([170, 206], [214, 220], [240, 240]), thin: true },
    { d: curve([172, 186], [214, 60], [150, 34]) + curve([150, 34], [112, 24], [80, 44]) },
    {
      d: [
        [84, 48],
        [112, 34],
        [142, 38],
        [168, 50],
      ]
        .map(([x, y]) => blossom(x!, y!, 16))
        .join(""),
      fill: "paper",
    },
    { d: blade([152, 216], [92, 186], [38, 214], 30), fill: "hatch" },
    { d: blade([168, 216], [228, 186], [282, 214], 30), fill: "paper" },
    { d: blade([152, 200], [96, 146], [42, 142], 30), fill: "paper" },
    { d: blade([168, 200], [224, 146], [278, 142], 30), fill: "paper" },
    { d: curve([168, 198], [222, 146], [268, 142]), thin: true },
    { d: blade([156, 188], [130, 134], [112, 112], 24), fill: "paper" },
    { d: blade([164, 186], [178, 148], [196, 132], 18), fill: "paper" },
    { d: strip(160, 226, 160, 188, 11), fill: "paper" },
  ],
  regions: {
    crown: { d: ellipse(160, 176, 16, 14), at: [160, 172] },
    axil: { d: ellipse(132, 192, 14, 11), at: [128, 190] },
    underside: { d: blade([148, 216], [92, 186], [38, 214], 34), at: [72, 202] },
    upperSide: { d: blade([148, 196], [96, 146], [42, 142], 32), at: [82, 152] },
    vein: { d: strip(206, 166, 250, 146, 9), at: [230, 154] },
    newLeaf: { d: blade([164, 184], [178, 148], [198, 128], 24), at: [188, 142] },
    flower: { d: ellipse(112, 42, 50, 22, -4), at: [112, 38] },
    stem: { d: strip(160, 212, 160, 194, 12), at: [160, 202] },
    ...pottedRegions,
  },
};
