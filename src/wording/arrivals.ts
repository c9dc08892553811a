import type { ArrivalSteps } from "@/core/arrivals/steps";
import type { WashId } from "@/core/arrivals/washing";
import type { PlantCarries } from "@/core/spread/carries";
import { percent } from "./chances";
import { dayInWords } from "./dates";

/** How a new plant is washed, in the words of whoever does it. */
export const washNames: Record<WashId, string> = {
  bareRoot:
    "Bare-root it: mix off into the bin, roots rinsed and looked at, dried, then into dry new mix and a clean pot",
  rinseRoots: "Unpot it, bark off into the bin, roots rinsed, into new bark",
  shower: "Shower it lukewarm, undersides first, the mix covered; wipe what is large",
  dunk: "Dunk it for a minute, shake it out, dry it upside down",
  flush: "Rinse it and flush the tank until the water is clear",
};

/** "Dries until Fri 27 Nov, first water on Wed 2 Dec." or nothing. */
export function dryingSentence({ potOn, waterOn }: Pick<ArrivalSteps, "potOn" | "waterOn">): string {
  const parts = [potOn && `dries until ${dayInWords(potOn)}`, waterOn && `first water on ${dayInWords(waterOn)}`];
  const told = parts.filter((one) => one !== null).join(", ");
  return told && `${told[0]!.toUpperCase()}${told.slice(1)}.`;
}

/** What each school of waiting leaves: "After one week 4 % would be left, after four 1 %." */
export function schoolsSentence({ waysBack }: Pick<PlantCarries, "waysBack">): string {
  const usual = waysBack?.find(({ way }) => way === "usual") ?? waysBack?.[0];
  if (!usual) return "";
  const [one, four] = [usual.after[0], usual.after[3]];
  if (one === undefined) return "";
  return `One school lets it join after a week, the other after four: one more clean look leaves ${percent(one)}${four === undefined ? "" : `, four leave ${percent(four)}`}.`;
}
