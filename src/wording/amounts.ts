import { nearestPour, type SpoonSet } from "@/core/units/spoons";
import { fromMillilitres, type Measure, type Millilitres } from "@/core/units/volume";

const measureNames: Record<Measure, readonly [one: string, many: string]> = {
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

const quarters = ["", "¼", "½", "¾"];

/** A count in quarters as a cook writes it: 1.25 → "1¼". */
function inQuarters(count: number): string {
  const wholes = Math.floor(count);
  const fraction = quarters[Math.round((count - wholes) * 4)] ?? "";
  return `${wholes > 0 || fraction === "" ? wholes : ""}${fraction}`;
}

/** A volume in millilitres with as many digits as a syringe shows: "353.5 mL", "0.25 mL", "1.2 L". */
export function millilitres(volume: number): string {
  if (volume >= 1000) return `${trim(volume / 1000, 2)} L`;
  return `${trim(volume, volume < 1 ? 2 : 1)} mL`;
}

const trim = (value: number, digits: number) => String(Number(value.toFixed(digits)));

/** A volume in the keeper's units: metric as it is, US with fluid ounces beside. */
export function volumeIn(volume: Millilitres, units: "metric" | "us"): string {
  if (units === "metric") return millilitres(volume);
  return `${trim(fromMillilitres(volume, "usFluidOunce"), 1)} US fl oz (${millilitres(volume)})`;
}

/** The same volume in the keeper's spoons: "about 1¼ metric teaspoons", or null where no spoon fits. */
export function inSpoons(volume: Millilitres, spoons: SpoonSet): string | null {
  const pour = nearestPour(volume, spoons);
  if (!pour) return volume > 0 && volume <= 1 ? dropsOf(volume) : null;
  const [one, many] = measureNames[pour.measure];
  const about = Math.abs(pour.error) > 0.02 ? "about " : "";
  return `${about}${inQuarters(pour.count)} ${pour.count <= 1 ? one : many}`;
}

function dropsOf(volume: Millilitres): string {
  const count = Math.max(1, Math.round(fromMillilitres(volume, "drop")));
  return `about ${count} ${measureNames.drop[count === 1 ? 0 : 1]}`;
}
