import { curve, ellipse, line, type Line, type Region } from "../shapes";

const window = "M118 252Q118 246 124 246H168Q174 246 174 252V284Q174 290 168 290H124Q118 290 118 284Z";

/** The pot that every form stands in, with a window onto its roots. It is drawn behind the plant. */
export const potLines: readonly Line[] = [
  { d: ellipse(160, 232, 62, 9), fill: "paper" },
  { d: "M100 236L109 298Q160 308 211 298L220 236", fill: "paper" },
  { d: "M98 232A62 9 0 0 0 222 232V242A62 9 0 0 1 98 242Z", fill: "paper" },
  { d: "M92 300Q160 316 228 300L222 308Q160 322 98 308Z", fill: "paper" },
  { d: window, fill: "paper", thin: true },
  { d: curve([146, 247], [134, 262], [128, 286]), thin: true },
  { d: curve([146, 247], [146, 266], [142, 288]), thin: true },
  { d: curve([146, 247], [156, 264], [164, 284]), thin: true },
  { d: line([136, 262], [126, 266]) + line([151, 266], [160, 264]) + line([144, 270], [150, 280]), thin: true },
];

/** The hiding places of every potted plant. */
export const pottedRegions = {
  neck: { d: ellipse(160, 229, 19, 11), at: [160, 229] },
  mixTop: { d: ellipse(119, 232, 20, 9), at: [117, 232] },
  roots: { d: window, at: [146, 272] },
  pot: { d: "M184 243L219 240L209 300Q198 304 184 304Z", at: [199, 272] },
} as const satisfies Record<string, Region>;
