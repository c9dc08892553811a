import type { CheckedRemedy, StrengthVerdict } from "@/core/knowledge/mixes/check";
import { nearestPour, type SpoonSet } from "@/core/units/spoons";
import { fromMillilitres, type Measure, type Millilitres } from "@/core/units/volume";
import { inQuarters, trim, volumeIn, type Units } from "./units";

/** What a measure is called after a number, one or several. */
export const measureNames: Record<Measure, readonly [one: string, many: string]> = {
  millilitre: ["mL", "mL"],
  litre: ["L", "L"],
  usTeaspoon: ["US teaspoon", "US teaspoons"],
  usTablespoon: ["US tablespoon", "US tablespoons"],
  usFluidOunce: ["US fl oz", "US fl oz"],
  usCup: ["US cup", "US cups"],
  usPint: ["US pint", "US pints"],
  usQuart: ["US quart", "US quarts"],
  usGallon: ["US gallon", "US gallons"],
  metricTeaspoon: ["metric teaspoon", "metric teaspoons"],
  metricTablespoon: ["metric tablespoon", "metric tablespoons"],
  drop: ["drop", "drops"],
};

/** A volume to be measured out: metric as it is, US with the millilitres beside, for whoever has a syringe. */
export function measuredIn(volume: Millilitres, units: Units): string {
  return units === "metric" ? volumeIn(volume, units) : `${volumeIn(volume, units)} (${volumeIn(volume, "metric")})`;
}

/** The same volume in the keeper's spoons: "about 1¼ metric teaspoons", or null where no spoon fits. */
export function inSpoons(volume: Millilitres, spoons: SpoonSet): string | null {
  const pour = nearestPour(volume, spoons);
  // A spoon that is wrong by a fifth is no measure for so little: drops are.
  const small = volume > 0 && volume <= 1;
  if (!pour || (small && Math.abs(pour.error) > 0.2)) return small ? dropsOf(volume) : null;
  const [one, many] = measureNames[pour.measure];
  const off = Math.abs(pour.error) > 0.02;
  const error = off ? `, ${Math.round(Math.abs(pour.error) * 100)} % too ${pour.error > 0 ? "much" : "little"}` : "";
  return `${off ? "about " : ""}${inQuarters(pour.count)} ${pour.count <= 1 ? one : many}${error}`;
}

function dropsOf(volume: Millilitres): string {
  const count = Math.max(1, Math.round(fromMillilitres(volume, "drop")));
  return `about ${count} ${measureNames.drop[count === 1 ? 0 : 1]}`;
}

/** A strength in its remedy's own measure. @example strengthInWords("oil", 1.5) // "1.5 % oil" */
export function strengthInWords(remedy: CheckedRemedy, strength: number): string {
  if (remedy === "alcohol") return `${trim(strength * 100, 1)} % alcohol`;
  if (remedy === "oil") return `${trim(strength, 2)} % oil`;
  return `${trim(strength, 2)} mL of ${remedy} per litre`;
}

/** How a strength stands to the usual one. @example ofUsualInWords(1 / 56) // "a 56th of the usual" */
export function ofUsualInWords(ofUsual: number): string {
  if (ofUsual > 0.95 && ofUsual < 1.05) return "the usual strength";
  if (ofUsual >= 1.05) return `${trim(ofUsual, 1)} times the usual strength`;
  if (ofUsual >= 0.6) return `${Math.round(ofUsual * 100)} % of the usual strength`;
  const parts = Math.round(1 / ofUsual);
  const words = [
    "",
    "",
    "half",
    "a third",
    "a quarter",
    "a fifth",
    "a sixth",
    "a seventh",
    "an eighth",
    "a ninth",
    "a tenth",
  ];
  return `${words[parts] ?? `one part in ${parts}`} of the usual`;
}

export const strengthVerdicts: Record<StrengthVerdict, string> = {
  token: "Next to nothing, and repeating it does not make up for that.",
  weak: "Weaker than any recipe here: it does less, but plants tolerate it better.",
  usual: "Within the usual recipes.",
  strong: "Stronger than any recipe here: leaves may burn, and it hardly works better. Dilute it.",
  aboveLabel: "More than the label on your bottle allows: do not use it. Dilute it.",
};
