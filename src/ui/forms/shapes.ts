import type { GrowthFormId, growthForms } from "@/core/knowledge/plants/growthForms";

/** A stroke of a drawing: SVG path data on a ground of 320 × 320, painted in order. */
export interface Line {
  readonly d: string;
  /** What lies within: the paper, so that it hides what is behind; hatching, for a side turned away; ink; or nothing. */
  readonly fill?: "paper" | "hatch" | "ink";
  readonly thin?: true;
}

/** A hiding place on a drawing: its outline, and where its number stands. */
export interface Region {
  readonly d: string;
  readonly at: readonly [x: number, y: number];
}

export type Form<F extends GrowthFormId = GrowthFormId> = {
  readonly lines: readonly Line[];
  /** It grows in no pot. */
  readonly unpotted?: true;
  readonly regions: Readonly<Record<(typeof growthForms)[F]["spots"][number], Region>>;
};

const r1 = (n: number) => Math.round(n * 10) / 10;
const at = (x: number, y: number) => `${r1(x)} ${r1(y)}`;

/** The point `length` away in a direction; degrees clockwise from straight up. */
export function along(x: number, y: number, degrees: number, length: number): [number, number] {
  const a = (degrees * Math.PI) / 180;
  return [x + length * Math.sin(a), y - length * Math.cos(a)];
}

export function ellipse(cx: number, cy: number, rx: number, ry: number, degrees = 0): string {
  const [x1, y1] = along(cx, cy, degrees - 90, rx);
  const [x2, y2] = along(cx, cy, degrees + 90, rx);
  const arc = (x: number, y: number) => `A${rx} ${ry} ${degrees} 1 1 ${at(x, y)}`;
  return `M${at(x1, y1)}${arc(x2, y2)}${arc(x1, y1)}Z`;
}

/** A pointed leaf from its base. */
export function leaf(x: number, y: number, degrees: number, length: number, width: number): string {
  const tip = along(x, y, degrees, length);
  const side = (sign: 1 | -1) => {
    const middle = along(x, y, degrees, length * 0.45);
    return along(middle[0], middle[1], degrees + sign * 90, width);
  };
  return `M${at(x, y)}Q${at(...side(-1))} ${at(...tip)}Q${at(...side(1))} ${at(x, y)}Z`;
}

/** A heart-shaped leaf from where its stalk meets it. */
export function heart(x: number, y: number, degrees: number, length: number, width: number): string {
  const tip = along(x, y, degrees, length);
  const half = (sign: 1 | -1) => {
    const lobe = along(...along(x, y, degrees, -length * 0.3), degrees + sign * 90, width * 0.9);
    const flank = along(...along(x, y, degrees, length * 0.55), degrees + sign * 90, width * 0.95);
    return [lobe, flank] as const;
  };
  const [l1, l2] = half(-1);
  const [h1, h2] = half(1);
  return `M${at(x, y)}C${at(...l1)} ${at(...l2)} ${at(...tip)}C${at(...h2)} ${at(...h1)} ${at(x, y)}Z`;
}

/** A strap leaf that bends from its base over a control point to its tip. */
export function blade(
  base: readonly [number, number],
  bend: readonly [number, number],
  tip: readonly [number, number],
  width: number,
): string {
  const w = width / 2;
  return `M${at(base[0] - w, base[1])}Q${at(bend[0] - w, bend[1] - w)} ${at(...(tip as [number, number]))}Q${at(bend[0] + w, bend[1] + w)} ${at(base[0] + w, base[1])}Z`;
}

export function line(...points: readonly (readonly [number, number])[]): string {
  return points.map(([x, y], i) => `${i === 0 ? "M" : "L"}${at(x, y)}`).join("");
}

export function curve(
  from: readonly [number, number],
  bend: readonly [number, number],
  to: readonly [number, number],
): string {
  return `M${at(...(from as [number, number]))}Q${at(...(bend as [number, number]))} ${at(...(to as [number, number]))}`;
}

/** A rounded strip between two points. */
export function strip(x1: number, y1: number, x2: number, y2: number, r: number): string {
  const degrees = (Math.atan2(x2 - x1, y1 - y2) * 180) / Math.PI;
  const a = along(x1, y1, degrees - 90, r);
  const b = along(x2, y2, degrees - 90, r);
  const c = along(x2, y2, degrees + 90, r);
  const d = along(x1, y1, degrees + 90, r);
  return `M${at(...a)}L${at(...b)}A${r} ${r} 0 0 1 ${at(...c)}L${at(...d)}A${r} ${r} 0 0 1 ${at(...a)}Z`;
}

/** Short spines that stand out from a point. */
export function spines(x: number, y: number, length: number, directions: readonly number[]): string {
  return directions.map((degrees) => line([x, y], along(x, y, degrees, length))).join("");
}

/** A flower seen from the front. */
export function blossom(x: number, y: number, radius: number, petals = 5): string {
  return Array.from({ length: petals }, (_, i) =>
    ellipse(...along(x, y, (i * 360) / petals, radius * 0.62), radius * 0.36, radius * 0.42, (i * 360) / petals),
  ).join("");
}
