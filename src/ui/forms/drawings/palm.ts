import { pottedRegions } from "./pot";
import { along, blade, curve, ellipse, leaf, line, strip, type Form, type Line } from "../shapes";

/** A frond: its rib bends over, leaflets hang on both sides. */
function frond(tip: readonly [number, number], bend: readonly [number, number], fill: "paper" | "hatch"): Line[] {
  const base = [160, 128] as const;
  const point = (t: number): [number, number] => [
    (1 - t) ** 2 * base[0] + 2 * t * (1 - t) * bend[0] + t * t * tip[0],
    (1 - t) ** 2 * base[1] + 2 * t * (1 - t) * bend[1] + t * t * tip[1],
  ];
  const outward = tip[0] < base[0] ? -1 : 1;
  const leaflets = [0.3, 0.44, 0.58, 0.72, 0.86].flatMap((t) => {
    const [x, y] = point(t);
    return [leaf(x, y, outward * 165, 34, 8), leaf(x, y, outward * 40, 30, 8)];
  });
  return [{ d: leaflets.join(""), fill }, { d: curve(base, bend, tip) }];
}

export const palm: Form<"palm"> = {
  lines: [
    { d: "M150 230Q154 180 152 132L168 132Q166 180 170 230Z", fill: "paper" },
    { d: [150, 168, 186, 204].map((y) => curve([152, y], [160, y + 5], [168, y])).join(""), thin: true },
    ...frond([48, 132], [96, 52], "hatch"),
    ...frond([272, 132], [224, 52], "paper"),
    ...frond([92, 34], [132, 54], "paper"),
    ...frond([228, 34], [188, 54], "paper"),
    { d: blade([160, 128], [160, 80], [162, 22], 9), fill: "paper" },
    { d: "M148 136Q136 152 146 170L154 140Z", fill: "paper" },
    { d: "M172 136Q184 152 174 170L166 140Z", fill: "paper" },
    { d: curve([170, 150], [200, 164], [212, 190]) + line([200, 168], [190, 184]) + line([206, 178], [222, 184]) },
    {
      d: [
        [212, 194],
        [190, 188],
        [224, 186],
      ]
        .map(([x, y]) => ellipse(x!, y!, 5, 5))
        .join(""),
      fill: "paper",
    },
    { d: line([160, 128], along(160, 128, 0, 6)), thin: true },
  ],
  regions: {
    crown: { d: ellipse(160, 122, 18, 14), at: [160, 120] },
    axil: { d: ellipse(184, 98, 14, 12), at: [186, 96] },
    underside: { d: "M110 84Q70 92 42 136L66 166Q96 140 118 128Z", at: [76, 118] },
    upperSide: { d: "M210 84Q250 92 278 136L254 166Q224 140 202 128Z", at: [244, 120] },
    vein: { d: strip(222, 40, 196, 58, 9), at: [210, 48] },
    newLeaf: { d: strip(160, 88, 162, 30, 11), at: [162, 52] },
    flower: { d: ellipse(208, 182, 24, 20), at: [212, 182] },
    stem: { d: strip(160, 214, 160, 178, 12), at: [160, 196] },
    sheath: { d: "M152 134Q130 152 144 176L156 142Z", at: [138, 154] },
    ...pottedRegions,
  },
};
