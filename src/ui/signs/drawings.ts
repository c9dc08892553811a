import type { SignId } from "@/core/knowledge/signs/signs";

/** Small line drawings of signs, SVG path data on a ground of 48 × 48. */
const dot = (x: number, y: number, r = 1.6) => `M${x - r} ${y}a${r} ${r} 0 1 1 ${2 * r} 0a${r} ${r} 0 1 1 ${-2 * r} 0Z`;
const dots = (...all: readonly (readonly [number, number])[]) => all.map(([x, y]) => dot(x, y)).join("");

const leaf = "M24 45Q4 28 24 4Q44 28 24 45Z";
const rib = "M24 45V14";
const twig = "M24 46V6M24 30L8 18M24 22L40 12";
const paper = "M6 14L34 8L42 36L14 42Z";
const roots = "M24 3V14M24 14Q12 24 10 44M24 14Q24 30 24 45M24 14Q36 24 38 44M15 27L8 32M33 27L40 32";
const mix = "M4 34Q14 28 24 34T44 34M4 44H44";
const pot = "M8 22H40L36 44H12Z";
const card = "M12 4H36V40H12ZM24 40V47";
const fly = (x: number, y: number) =>
  `${dot(x, y, 2)}M${x} ${y}q-8-7-9-1q2 4 9 1M${x} ${y}q8-7 9-1q-2 4-9 1M${x} ${y + 2}v6M${x - 2} ${y + 4}l-3 4M${x + 2} ${y + 4}l3 4`;
const slender = (x: number, y: number) => `M${x} ${y}l7-11M${x + 1} ${y - 5}l-4 0M${x + 6} ${y - 6}l4 1`;
const lens = "M34 34L45 45M6 20a15 15 0 1 1 30 0a15 15 0 1 1-30 0";
const bump = (x: number, y: number) => `M${x - 5} ${y}q5-9 10 0Z`;

export const signDrawings: Readonly<Record<SignId, string>> = {
  cottonTufts: `${twig}${dot(24, 30, 5)}${dot(19, 27, 4)}${dot(24, 21, 4)}${dot(28, 19, 3)}`,
  rootMeal: `${roots}${dots([12, 36], [16, 20], [24, 26], [27, 36], [35, 34], [32, 19], [20, 38])}`,
  webbing: "M8 46L22 4M22 4Q40 14 44 34M14 28Q26 24 38 18M11 36Q26 30 41 24M17 19L34 12M20 40L30 8M30 42L36 13",
  stippling: `${leaf}${rib}${dots([18, 22], [20, 30], [17, 34], [29, 20], [31, 28], [28, 34], [24, 10], [30, 24], [16, 27])}`,
  silverStreaks: `${leaf}M18 18L22 26M17 26L21 34M28 14L31 22M28 26L32 32M26 34L29 38M20 12L22 17`,
  blackSpecks: `${leaf}M16 22Q20 16 24 22T32 22T31 32Q24 38 17 30Z${dots([20, 24], [25, 26], [29, 25], [22, 30], [28, 31])}`,
  twistedGrowth: "M24 46V30M24 30Q10 28 14 16Q24 14 20 24M24 30Q40 30 38 18Q30 8 28 18Q32 24 24 22M24 22Q18 12 26 4",
  stickyFilm: `${leaf}M20 14Q14 26 20 36M34 40q-5 7 0 7t0-7M12 36q-4 6 0 6t0-6`,
  sootyFilm: `${leaf}${dots([18, 20], [22, 18], [26, 20], [20, 25], [25, 25], [30, 24], [22, 31], [27, 31], [24, 36], [17, 29], [24, 13])}M17 22L31 28M18 30L30 34`,
  fixedBumps: `M8 44L40 6${bump(14, 38)}${bump(20, 31)}${bump(26, 24)}${bump(32, 17)}`,
  shellLifts: `M4 42H44${bump(32, 42)}${dot(16, 39, 3)}M9 26q7-13 14-2l-12 4Z`,
  smallFlies: `${mix}${fly(16, 12)}${fly(34, 18)}`,
  whiteFlies: `${leaf}${fly(10, 10)}${fly(38, 8)}${fly(40, 26)}`,
  mixLarvae: `${mix}M10 40q4-3 8 0t8 0t6-1${dot(9, 40, 2)}M20 22q4-4 8 0t7-1${dot(19, 22, 2)}`,
  creepingSpecks: `${paper}${dot(18, 20, 2.4)}${dot(28, 26, 2.4)}M18 26v6M28 16v4M15 32l3 3 3-3`,
  runningSpecks: `${paper}${slender(16, 30)}${slender(27, 24)}M20 36l8-2M31 30l6-2`,
  grittyDust: `${leaf}${rib}${dots([19, 24], [20, 28], [28, 22], [29, 30], [21, 34])}M16 30l3 2M30 26l3-2M27 36l3 0`,
  packedInsects: `M24 46V22${[
    [20, 24],
    [28, 26],
    [20, 34],
    [28, 36],
    [24, 16],
  ]
    .map(([x, y]) => dot(x!, y!, 4))
    .join("")}M24 12Q18 4 24 2Q30 4 24 12M16 22l-5-3M32 25l5-3M16 33l-5 0M32 36l5 1`,
  corkyScars: "M12 46V22Q12 6 24 6T36 22V46M18 10V46M30 10V46M13 34Q18 28 24 35T35 33M14 40Q20 35 26 41T35 40",
  yellowing: "M24 46Q24 30 14 22Q2 26 6 40Q14 38 14 22M24 40Q26 26 36 20Q48 26 42 40Q34 36 36 20M24 46V24Q20 12 26 4",
  wiltsDamp: `${pot}M24 22Q24 8 12 8Q6 12 6 20M24 22Q26 6 38 8Q44 12 43 20M16 32q-3 5 0 5t0-5M26 34q-3 5 0 5t0-5`,
  ants: `M4 40L44 24${dot(16, 30, 3)}${dot(22, 27, 2.4)}${dot(28, 24, 3.4)}M31 22l6-4M31 22l6 1M19 32l-1 6M22 30l2 7M25 29l5 5M18 26l-4-5M22 24l-1-6`,
  alcoholDissolves: `M44 4L26 22M30 14l6 6${dot(22, 26, 5)}M14 36q8-6 16 0t12-1M10 42q10-4 18 0`,
  livesWhenTouched: `${dot(22, 28, 7)}M15 28l-7-3M15 31l-7 2M29 26l7-4M29 31l7 2M17 34l-4 6M27 34l4 6M44 4L30 20M6 14q4-5 8-2M6 20q4-3 6-2`,
  scrapeSmears: `M4 42H44${bump(14, 42)}M44 8Q34 8 28 18L22 30Q26 36 32 30L40 16M20 40q8-5 18-1`,
  rustyStreaks: `${paper}M14 20L30 16M16 26L34 21M18 32L30 29M20 37L36 33`,
  loupeRoundDots: `${lens}${dot(21, 20, 4.5)}M16 18l-4-2M16 22l-4 2M26 18l4-2M26 22l4 2${dots([14, 28], [27, 11], [28, 29])}`,
  loupeSlender: `${lens}${slender(15, 27)}${slender(23, 25)}`,
  loupeFlatRed: `${lens}M15 20a6 4 0 1 1 12 0a6 4 0 1 1-12 0M15 17l-3-2M27 17l3-2M15 23l-3 2M27 23l3 2`,
  rootInsects: `${roots}${dot(14, 32, 3)}${dot(26, 30, 3)}${dot(33, 24, 3)}M11 35l-2 3M17 35l2 3M23 33l-2 3M29 33l2 3`,
  potatoLarvae: `M8 26Q10 12 26 12Q42 14 40 28Q38 38 22 36Q8 36 8 26ZM12 42q3-3 6 0t6 0M26 44q3-3 6 0t6-1M16 20q6-4 12-2`,
  cardDarkFlies: `${card}${fly(20, 14)}${fly(28, 28)}`,
  cardWhiteFlies: `${card}${fly(19, 12)}${fly(29, 20)}${fly(20, 28)}`,
  cardSlender: `${card}${slender(17, 20)}${slender(23, 34)}`,
};
