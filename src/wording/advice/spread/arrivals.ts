import type { ArrivalSteps } from "@/core/advice/arrivals/steps";
import type { WashId } from "@/core/advice/arrivals/washing";
import type { PlantCarries } from "@/core/advice/spread/carries";
import { percent } from "../chances";
import { dayInWords } from "../../dates";

/** How a new plant is washed, in the words of whoever does it. */
export const washNames: Record<WashId, string> = {
  bareRoot:
    "Bare-root it: bin the old mix, rinse and check the roots, let them dry, then pot it in dry new mix in a clean pot",
  rinseRoots: "Unpot it, bin the bark, rinse the roots, pot it in new bark",
  shower: "Shower it lukewarm, undersides first, with the mix covered; wipe large leaves",
  dunk: "Dunk it for a minute, shake it out, dry it upside down",
  flush: "Rinse it and flush the tank until the water is clear",
};

/** "Dries until Fri 27 Nov, first water on Wed 2 Dec." or nothing. */
export function dryingSentence({ potOn, waterOn }: Pick<ArrivalSteps, "potOn" | "waterOn">): string {
  const parts = [potOn && `let it dry until ${dayInWords(potOn)}`, waterOn && `first water on ${dayInWords(waterOn)}`];
  const sentence = parts.filter((one) => one !== null).join(", ");
  return sentence && `${sentence[0]!.toUpperCase()}${sentence.slice(1)}.`;
}

/** What each school of waiting leaves: "After one week 4 % would be left, after four 1 %." */
export function schoolsSentence({ waysBack }: Pick<PlantCarries, "waysBack">): string {
  const usual = waysBack?.find(({ way }) => way === "usual") ?? waysBack?.[0];
  if (!usual) return "";
  const [one, four] = [usual.after[0], usual.after[3]];
  if (one === undefined) return "";
  return `Some growers let it join after a week, others after four: one more clean look leaves ${percent(one)}${four === undefined ? "" : `, four leave ${percent(four)}`}.`;
}
