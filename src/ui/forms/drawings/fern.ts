import { pottedRegions } from "./pot";
import { along, curve, ellipse, leaf, strip, type Form, type Line } from "../shapes";

/** A frond of small leaflets along a bent rib. */
function frond(tip: readonly [number, number], bend: readonly [number, number], fill: "paper" | "hatch"): Line[] {
  const base = [160, 224] as const;
  const leaflets = Array.from({ length: 9 }, (_, i) => {
    const t = 0.34 + i * 0.075;
    const x = (1 - t) ** 2 * base[0] + 2 * t * (1 - t) * bend[0] + t * t * tip[0];
    const y = (1 - t) ** 2 * base[1] + 2 * t * (1 - t) * bend[1] + t * t * tip[1];
    const dx = 2 * (1 - t) * (bend[0] - base[0]) + 2 * t * (tip[0] - bend[0]);
    const dy = 2 * (1 - t) * (bend[1] - base[1]) + 2 * t * (tip[1] - bend[1]);
    const way = (Math.atan2(dx, -dy) * 180) / Math.PI;
    const length = 28 * (1.1 - t * 0.6);
    return leaf(x, y, way + 72, length, 9) + leaf(x, y, way - 72, length, 9);
  });
  return [{ d: leaflets.join(""), fill }, { d: curve(base, bend, tip) }];
}

const spiral = (x: number, y: number) =>
  `M${x} ${y + 46}Q${x + 2} ${y + 14} ${x} ${y}A13 13 0 1 1 ${x + 13} ${y + 12}A8 8 0 1 1 ${x + 16} ${y}`;

export const fern: Form<"fern"> = {
  lines: [
    ...frond([46, 150], [96, 66], "hatch"),
    ...frond([274, 150], [224, 66], "paper"),
    ...frond([92, 40], [132, 70], "paper"),
    ...frond([232, 44], [192, 76], "paper"),
    { d: spiral(158, 122) },
    { d: curve([158, 168], [157, 200], [160, 224]) },
    { d: [-50, -20, 20, 50].map((a) => leaf(160, 226, a, 22, 8)).join(""), fill: "paper" },
    { d: curve([160, 224], along(160, 224, 0, 10), [160, 210]), thin: true },
  ],
  regions: {
    crown: { d: ellipse(160, 204, 18, 12), at: [160, 201] },
    axil: { d: ellipse(131, 156, 14, 12, 40), at: [128, 156] },
    underside: { d: "M100 88Q56 98 34 148L60 164Q84 134 116 122Z", at: [74, 120] },
    upperSide: { d: "M220 88Q264 98 286 148L260 164Q236 134 204 122Z", at: [246, 120] },
    vein: { d: strip(196, 96, 224, 58, 9), at: [212, 76] },
    newLeaf: { d: ellipse(166, 124, 22, 22), at: [167, 126] },
    stem: { d: strip(176, 190, 194, 152, 9), at: [190, 162] },
    ...pottedRegions,
  },
};
