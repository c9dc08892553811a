import { CaseProblem } from "../../model/clearance/caseProblem";
import { expectedByStage, reckon, type Reckoning } from "../../model/clearance/reckon";
import { byReach } from "../../model/clearance/scenarios";
import type { ReachWeights } from "../../model/learning/reach";
import { expand, type ExpandedCase } from "../../record/format/expand";
import type { FileProblem } from "../../record/format/read";
import type { CaseFile } from "../../record/format/schema";

/** What `assess` says of a case. */
export interface Assessment {
  /** Probability that no animal is left. */
  readonly pClear: number;
  /** Probability, before they were made, that none of the looks since the last find would see anything. */
  readonly pUnseen: number;
  /** Expected numbers by stage as of the moment asked about, the mean over the scenarios. */
  readonly expected: Readonly<Record<string, number>>;
  /** Posterior weights of the scenarios: reach ×2.5, ×1, ×⅓ (slowest) by eggs ×0.6, ×1, ×1.3; they sum to 1. */
  readonly weights: readonly number[];
  /** Probability that no animal is left, in each scenario. */
  readonly scenarioPClear: readonly number[];
  /** Posterior weights of reach ×2.5, ×1, ×⅓; only where all scenarios were asked for. */
  readonly reach?: ReachWeights;
}

export type Assessed =
  | {
      readonly ok: true;
      readonly assessment: Assessment;
      readonly reckoning: Reckoning;
      readonly expanded: ExpandedCase;
    }
  | { readonly ok: false; readonly problems: readonly FileProblem[] };

/**
 * Judges a case file that has been read without problems. A find that could not have been made the way the file says is a
 * problem of the file.
 */
export function assessFile(file: CaseFile): Assessed {
  const expanded = expand(file);
  try {
    const reckoning = reckon(expanded.history, expanded.asOfDays, expanded.scenarios);
    return { ok: true, assessment: assessmentOf(reckoning), reckoning, expanded };
  } catch (error) {
    if (!(error instanceof CaseProblem)) throw error;
    return { ok: false, problems: [{ path: pathOf(file, expanded, error.event), message: error.message }] };
  }
}

/** The answer of a reckoning in the form that is printed and kept. */
function assessmentOf(reckoning: Reckoning): Assessment {
  const stages = reckoning.timeline.layout.pest.stages;
  const expected = expectedByStage(reckoning);
  const { pClear, pUnseen, weights, scenarioPClear } = reckoning;
  return {
    pClear,
    pUnseen,
    expected: Object.fromEntries(stages.map((stage, i) => [stage.id, expected[i]!])),
    weights,
    scenarioPClear,
    ...(weights.length > 1 && { reach: byReach(weights) }),
  };
}

/** A remedy by name may become several events of the history: finds the file's event, an inspection, from the history's. */
function pathOf(file: CaseFile, { history }: ExpandedCase, event: number | null): string {
  if (event === null) return "timeStepDays";
  const inspections = history.events.slice(0, event + 1).filter((e) => e.kind === "inspection").length;
  let seen = 0;
  return `events[${file.events.findIndex((e) => e.type === "inspection" && ++seen === inspections)}].found`;
}
