import { pottedRegions } from "./pot";
import { blade, curve, ellipse, leaf, strip, type Form } from "../shapes";

export const strapBulb: Form<"strapBulb"> = {
  lines: [
    { d: blade([150, 196], [86, 110], [42, 128], 26), fill: "hatch" },
    { d: blade([170, 196], [234, 110], [278, 128], 26), fill: "paper" },
    { d: blade([154, 190], [118, 90], [84, 54], 26), fill: "paper" },
    { d: blade([166, 190], [216, 96], [242, 66], 26), fill: "paper" },
    { d: strip(160, 190, 166, 70, 7), fill: "paper" },
    { d: [-64, -32, 0, 32, 64].map((a) => leaf(166, 68, a, 48, 18)).join(""), fill: "paper" },
    { d: blade([148, 194], [134, 160], [134, 136], 18), fill: "paper" },
    { d: "M118 230Q116 190 148 184H172Q204 190 202 230Z", fill: "paper" },
    { d: curve([132, 226], [126, 204], [146, 188]) + curve([188, 226], [194, 204], [174, 188]), thin: true },
    { d: "M176 186Q206 190 204 226Q190 222 188 206Q184 194 176 186Z", fill: "paper" },
  ],
  regions: {
    crown: { d: ellipse(160, 186, 18, 11), at: [160, 184] },
    axil: { d: ellipse(114, 158, 14, 12, 40), at: [113, 156] },
    underside: { d: blade([146, 190], [86, 110], [42, 128], 30), at: [76, 124] },
    upperSide: { d: blade([174, 190], [234, 110], [278, 128], 30), at: [244, 124] },
    newLeaf: { d: strip(138, 176, 134, 142, 11), at: [138, 148] },
    flower: { d: ellipse(166, 48, 46, 30), at: [166, 42] },
    sheath: { d: "M174 184Q210 190 206 228Q188 224 186 206Q182 194 174 184Z", at: [193, 206] },
    ...pottedRegions,
  },
};
