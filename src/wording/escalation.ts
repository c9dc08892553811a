import type { ExplanationId } from "@/core/case/escalation";

export const explanationNames: Record<ExplanationId, string> = {
  missed: "More is missed than is usual",
  asExpected: "Nothing is wrong: this much was to be expected by now, at this warmth",
  resistant: "They resist what was put on",
  reinfested: "It was over, and came anew from near by",
};

export const whatToChange: Record<ExplanationId, string> = {
  missed:
    "Get to what sprays miss: swab every joint with a loupe in the other hand, dunk, prune the worst, or unpot. More of the same does little.",
  asExpected:
    "Eggs and hidden animals come up later than the remedy lasts, the cooler the later. Keep to the plan; stopping now is the mistake.",
  resistant:
    "Put on something of another kind: oil, soap and alcohol find no resistance. The same group does not come back soon.",
  reinfested: "Look at the plants beside it and treat those that have it, or this one will be found again and again.",
};
