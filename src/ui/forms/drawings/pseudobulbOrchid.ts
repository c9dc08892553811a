import { pottedRegions } from "./pot";
import { blade, blossom, curve, ellipse, leaf, strip, type Form } from "../shapes";

export const pseudobulbOrchid: Form<"pseudobulbOrchid"> = {
  lines: [
    { d: blade([116, 160], [92, 90], [46, 72], 30), fill: "hatch" },
    { d: blade([158, 146], [148, 80], [112, 22], 32), fill: "paper" },
    { d: blade([200, 156], [232, 96], [280, 92], 30), fill: "paper" },
    { d: curve([200, 154], [230, 100], [268, 94]), thin: true },
    { d: ellipse(118, 194, 20, 36, -6), fill: "paper" },
    { d: ellipse(160, 186, 22, 42), fill: "paper" },
    { d: ellipse(202, 194, 20, 38, 6), fill: "paper" },
    { d: curve([118, 162], [112, 194], [118, 226]) + curve([160, 148], [152, 186], [160, 226]), thin: true },
    { d: "M142 228Q136 200 148 186Q160 206 178 188Q184 206 178 228Z", fill: "paper" },
    { d: curve([146, 226], [148, 208], [152, 196]) + curve([174, 226], [172, 210], [170, 200]), thin: true },
    { d: curve([180, 222], [196, 120], [196, 62]) },
    { d: blossom(204, 44, 20, 6) + blossom(188, 76, 15, 6), fill: "paper" },
    { d: leaf(222, 224, 24, 54, 14), fill: "paper" },
  ],
  regions: {
    axil: { d: ellipse(160, 146, 17, 12), at: [160, 145] },
    underside: { d: blade([116, 160], [92, 90], [46, 72], 34), at: [84, 98] },
    upperSide: { d: blade([158, 140], [148, 80], [112, 22], 34), at: [138, 74] },
    vein: { d: strip(222, 122, 258, 98, 9), at: [244, 106] },
    newLeaf: { d: leaf(222, 226, 24, 60, 22), at: [236, 196] },
    flower: { d: ellipse(200, 54, 26, 34), at: [202, 48] },
    stem: { d: ellipse(116, 196, 18, 32, -6), at: [116, 190] },
    sheath: { d: "M140 214Q136 198 148 184Q160 204 178 186Q184 202 180 214Z", at: [160, 201] },
    ...pottedRegions,
  },
};
