import { tzOffset } from "@date-fns/tz";

/**
 * The half of the earth a zone lies on, as far as its clocks tell: where they are ahead in January, summer is then. North where
 * they do not change. @example guessHemisphere("Pacific/Auckland") // "south"
 */
export function guessHemisphere(zone: string): "north" | "south" {
  const [january, july] = [0, 6].map((month) => tzOffset(zone, new Date(Date.UTC(2026, month, 15))));
  return january! > july! ? "south" : "north";
}
