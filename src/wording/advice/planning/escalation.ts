import type { ExplanationId } from "@/core/advice/clearance/escalation";

export const explanationNames: Record<ExplanationId, string> = {
  missed: "Your treatments miss more than usual",
  asExpected: "Nothing is wrong: this is what to expect by now, at this temperature",
  resistant: "They are resistant to what you used",
  reinfested: "It was over, and came back from nearby",
};

export const whatToChange: Record<ExplanationId, string> = {
  missed:
    "Reach what sprays miss: swab every joint with a loupe in the other hand, dunk, prune the worst, or unpot. More of the same does little.",
  asExpected:
    "Eggs and hidden animals appear after the remedy has gone, later when it is cool. Keep to the plan; stopping now is the mistake.",
  resistant:
    "Use something from another group: oil, soap and alcohol meet no resistance. Do not go back to the same group soon.",
  reinfested: "Look at the plants next to it and treat those that have it, or you will find it again and again.",
};
