import type { Decision, FirstChoice, FirstWay } from "@/core/advice/decision/decision";

export const firstWayNames: Record<FirstWay, string> = {
  squash: "Squash and watch",
  programme: "Follow the full programme",
  blitz: "Do everything in one day",
  unpot: "Unpot and wash",
  cutting: "Take a clean cutting",
  outdoors: "Put it outdoors, to rain and predators",
  giveUp: "Give the plant up",
};

export const firstWayTells: Record<FirstWay, string> = {
  squash: "Remove what you see once a week, with the best tool you have for looking.",
  programme: "The best plan here, with its repeats.",
  blitz:
    "Pick off, cut off the worst, wash, unpot into new mix, swab and spray, all in one day; then swab every joint with alcohol once a week, up to three times.",
  unpot: "Bin the old mix, wash roots and leaves, pot in new mix; then remove what you see, once a week.",
  cutting: "Take a clean shoot, wash it and set it apart as a new plant; give up the rest.",
  outdoors: "Away from the others, in half shade, rinsed by rain; treat it as a new arrival when it comes back in.",
  giveUp:
    "Pull a bag over it where it stands, close it, and put it in the household bin with its mix. Then wash shelf, saucer and pot.",
};

export const closedSentences: Record<Decision["closed"][number]["why"], string> = {
  tooCold: "not at this time of year.",
  noCuttings: "this plant does not root from one.",
  noPot: "it has no potting mix.",
  rests: "it is resting dry; wet it only once it grows.",
};

const reasons: Record<keyof FirstChoice["costs"], string> = {
  work: "it takes the least of your time",
  neighbours: "the fewest neighbours catch the pest meanwhile",
  harm: "it spares the plant",
  lost: "you are less likely to lose the plant to the pest",
};

/** The proposal in one sentence, with what tells it from the next best. */
export function proposalSentence({
  choices,
  because,
}: { readonly choices: readonly Pick<FirstChoice, "way">[] } & Pick<Decision, "because">): string {
  const [first, second] = choices;
  if (!first) return "";
  const name = (way: FirstWay) => firstWayNames[way][0]!.toLowerCase() + firstWayNames[way].slice(1);
  const beside = second && because ? ` Compared with the next best, to ${name(second.way)}, ${reasons[because]}.` : "";
  return `Suggested: ${name(first.way)}.${beside} You decide.`;
}
