import { pottedRegions } from "./pot";
import { along, blossom, curve, ellipse, leaf, line, strip, type Form } from "../shapes";

export const trailingVine: Form<"trailingVine"> = {
  lines: [
    { d: "M118 230V118Q118 40 160 40Q202 40 202 118V230" },
    { d: curve([150, 228], [98, 180], [118, 118]) + curve([118, 118], [126, 60], [160, 44]), thin: true },
    { d: curve([168, 228], [222, 176], [202, 112]) },
    { d: curve([132, 228], [76, 220], [66, 262]) },
    ...(
      [
        [112, 152, -80, "hatch"],
        [118, 112, -64, "paper"],
        [130, 72, -40, "paper"],
        [122, 150, 62, "paper"],
        [204, 128, 74, "paper"],
        [204, 116, -66, "paper"],
        [192, 70, 60, "paper"],
        [208, 176, 104, "paper"],
        [84, 230, -70, "paper"],
        [68, 252, -130, "paper"],
      ] as const
    ).map(([x, y, a, fill]) => ({ d: leaf(x, y, a, 62, 30), fill })),
    { d: line([204, 128], along(204, 128, 74, 56)), thin: true },
    { d: curve([160, 40], [170, 18], [190, 20]) },
    { d: leaf(188, 22, 70, 26, 8), fill: "paper" },
    { d: curve([150, 44], [120, 40], [96, 44]) },
    {
      d: [0, 1, 2, 3, 4].map((i) => blossom(84 + (i % 3) * 11, 38 + Math.floor(i / 3) * 14, 8)).join(""),
      fill: "paper",
    },
  ],
  regions: {
    axil: { d: ellipse(203, 116, 15, 13), at: [203, 117] },
    underside: { d: leaf(112, 152, -80, 62, 30), at: [78, 146] },
    upperSide: { d: leaf(208, 176, 104, 62, 30), at: [244, 184] },
    vein: { d: strip(216, 125, 256, 113, 9), at: [244, 117] },
    newLeaf: { d: ellipse(194, 18, 26, 15), at: [198, 18] },
    flower: { d: ellipse(94, 44, 28, 20), at: [92, 44] },
    stem: { d: strip(206, 196, 212, 150, 10), at: [208, 160] },
    ...pottedRegions,
  },
};
