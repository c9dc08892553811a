import { toInches } from "@/core/units/length";
import { inFahrenheitSteps, toFahrenheit } from "@/core/units/temperature";
import { fromMillilitres, mL, toTeaspoonsAQuart } from "@/core/units/volume";

/** What a keeper measures in. */
export type Units = "metric" | "us";

/** A number with so many digits behind the point at most. */
export const trim = (value: number, digits: number) => String(Number(value.toFixed(digits)));

/** A temperature. @example warmthIn(21, "us") // "70 °F" */
export function warmthIn(celsius: number, units: Units, digits = 1): string {
  return units === "metric" ? `${trim(celsius, digits)} °C` : `${trim(toFahrenheit(celsius), 0)} °F`;
}

/** A difference of temperatures. @example warmerBy(3, "us") // "5 °F" */
export function warmerBy(celsius: number, units: Units): string {
  return units === "metric" ? `${trim(celsius, 1)} °C` : `${trim(inFahrenheitSteps(celsius), 0)} °F`;
}

/** A width. @example widthIn(12, "us") // "4.7 in" */
export function widthIn(cm: number, units: Units): string {
  return units === "metric" ? `${trim(cm, 1)} cm` : `${trim(toInches(cm), 1)} in`;
}

/** A card's size, short side first. @example cardSizeInWords({ widthMm: 100, heightMm: 250 }, "us") // "3.9 × 9.8 in" */
export function cardSizeInWords(
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
  units: Units,
): string {
  const sides = [Math.min(widthMm, heightMm), Math.max(widthMm, heightMm)].map((mm) => mm / 10);
  return units === "metric"
    ? `${sides.map((cm) => trim(cm, 1)).join(" × ")} cm`
    : `${sides.map((cm) => trim(toInches(cm), 1)).join(" × ")} in`;
}

/** What a label asks for in water. @example rateIn(5.2, "us") // "1 US tsp per US quart" */
export function rateIn(mlPerLitre: number, units: Units): string {
  return units === "metric"
    ? `${mlPerLitre} mL per litre`
    : `${trim(toTeaspoonsAQuart(mlPerLitre), 2)} US tsp per US quart`;
}

/** From here on a jug tells no tenths, mL. */
const BY_WHOLE_FROM = 100;
/** From what on a volume is told in each of the kitchen's measures, mL: what is less is told in the smaller one, and never as none. */
const SPOONS_FROM = 1.2;
const OUNCES_FROM = 29;
const QUARTS_FROM = 1890;

/**
 * A volume as a keeper measures it: metric as a syringe shows it, US in drops, teaspoons, fluid ounces or quarts by its size, so that
 * nothing that is something is told as 0. @example volumeIn(60, "us") // "2 US fl oz"
 */
export function volumeIn(volume: number, units: Units): string {
  if (units === "metric")
    return volume >= 1000
      ? `${trim(volume / 1000, 2)} L`
      : `${trim(volume, volume < 1 ? 2 : volume < BY_WHOLE_FROM ? 1 : 0)} mL`;
  const exact = mL(volume);
  if (volume === 0) return "0 US fl oz";
  if (volume < SPOONS_FROM) {
    const drops = Math.max(1, Math.round(fromMillilitres(exact, "drop")));
    return `${drops} ${drops === 1 ? "drop" : "drops"}`;
  }
  if (volume < OUNCES_FROM) return `${inQuarters(fromMillilitres(exact, "usTeaspoon"))} US tsp`;
  if (volume < QUARTS_FROM) {
    const ounces = fromMillilitres(exact, "usFluidOunce");
    return `${trim(ounces, ounces < 10 ? 1 : 0)} US fl oz`;
  }
  return `${trim(fromMillilitres(exact, "usQuart"), 1)} US qt`;
}

const quarters = ["", "¼", "½", "¾"];

/** A count in quarters as a cook writes it; never less than a quarter. @example inQuarters(1.3) // "1¼" */
export function inQuarters(count: number): string {
  const rounded = Math.max(1, Math.round(count * 4));
  const wholes = Math.floor(rounded / 4);
  const fraction = quarters[rounded % 4]!;
  return `${wholes > 0 ? wholes : ""}${fraction}`;
}
