import type { WalkScope } from "@/core/record/facts/commands";
import type { SkipReason } from "@/core/record/facts/kinds/skip";
import type { WalkGroup } from "@/core/advice/walks/order";
import type { Round } from "@/core/model/inspection/rounds";
import type { WalkEvent } from "@/core/advice/walks/progress";

export const skipReasonNames: Record<SkipReason, string> = {
  notThere: "Not at its place",
  outOfReach: "Out of reach",
  underTreatment: "Wet or in the dark after treatment",
  lookedJustNow: "Looked at just now",
  noTime: "No time",
};

export const walkScopeNames: Record<WalkScope, string> = {
  place: "One place",
  due: "What is due",
  everything: "Everything",
  arrivals: "Arrivals",
  chosen: "Random sample",
};

export const roundNames: Record<Round, { readonly name: string; readonly what: string }> = {
  likely: {
    name: "The likeliest places",
    what: "Every pot is lifted and turned; the places that hold most are looked at.",
  },
  all: { name: "Every place", what: "Crown to saucer on every plant: on arrival, in spring, before wintering." },
  own: { name: "Places I press", what: "Nothing counts as looked at until you press it." },
};

export const groupNames: Record<WalkGroup, string> = {
  clean: "clean",
  atRisk: "at risk",
  newHere: "new here",
  inCase: "in a case",
  isolated: "set apart",
};

/** Notes that need one press. */
export const readyPhrases = [
  "New growth clean",
  "Old marks only",
  "Dead ones only",
  "Dusty, wiped",
  "Needs water",
  "Mix too wet",
  "Yellow leaf taken off",
  "In bud",
] as const;

/** "about 1 h 10 min", "about 5 min", "under a minute". */
export function timeInWords(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  if (minutes < 1) return "under a minute";
  if (minutes < 60) return `about ${minutes} min`;
  return `about ${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}

/** What became of a plant on a walk. */
export const walkEventNames: Readonly<Record<WalkEvent["kind"], string>> = {
  clean: "nothing found",
  found: "something found",
  skipped: "left out",
};
