import type { Decision, FirstChoice, FirstWay } from "@/core/planning/decision";

export const firstWayNames: Record<FirstWay, string> = {
  squash: "Squash and watch",
  programme: "Carry out the whole programme",
  blitz: "Do everything in one day",
  unpot: "Unpot and wash",
  cutting: "Take a clean cutting",
  outdoors: "Put it outdoors, to rain and enemies",
  giveUp: "Give the plant up",
};

export const firstWayTells: Record<FirstWay, string> = {
  squash: "Take off what you see, once a week, with what you have to look with.",
  programme: "The plan that does best here, with its repeats.",
  blitz:
    "Pick off, cut off the worst, wash, unpot into new mix, swab and spray, all on one day; then swab every joint with alcohol once a week, up to three times.",
  unpot: "Old mix into the bin, roots and leaves washed, new mix; then take off what shows, once a week.",
  cutting: "A shoot without any animal on it, washed and set apart as a plant of its own; the rest is given up.",
  outdoors: "Out of the others’ reach, in half shade, rinsed by rain; it comes back in as a new arrival.",
  giveUp:
    "Pull a bag over it where it stands, close it, and put it into the household bin with its mix. Then wash shelf, saucer and pot.",
};

export const closedSentences: Record<Decision["closed"][number]["why"], string> = {
  tooCold: "not at this time of the year.",
  noCuttings: "this kind does not grow on from one.",
  noPot: "it stands in no mix.",
  rests: "it rests dry now, and is wetted when it grows.",
};

const reasons: Record<keyof FirstChoice["costs"], string> = {
  work: "it takes least of your time for what it does",
  neighbours: "fewest of the plants beside it catch the pest meanwhile",
  harm: "it spares the plant",
  lost: "the pest is less likely to cost you the plant",
};

/** The proposal in one sentence, with what tells it from the next best. */
export function proposalSentence({
  choices,
  because,
}: { readonly choices: readonly Pick<FirstChoice, "way">[] } & Pick<Decision, "because">): string {
  const [first, second] = choices;
  if (!first) return "";
  const name = (way: FirstWay) => firstWayNames[way][0]!.toLowerCase() + firstWayNames[way].slice(1);
  const beside = second && because ? ` Beside the next best, to ${name(second.way)}, ${reasons[because]}.` : "";
  return `Proposed: ${name(first.way)}.${beside} You decide.`;
}
