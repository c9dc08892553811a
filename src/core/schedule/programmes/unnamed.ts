import { addDays } from "../../shared/days";
import { treatmentsToCome } from "../../advice/plans/plans";
import { planOfUnnamed, unnamedOn } from "../../advice/unnamed/unnamed";
import { lookDays, lookDue, notRunning, WATCHED_EVERY_DAYS, type Due, type ProgrammeKind } from "./programme";

/**
 * Signs that nobody could name are looked at again within a week, and weekly until they have a name or are none (common practice);
 * what was chosen against them falls due on its days.
 */
export const unnamed: ProgrammeKind<"unnamed"> = {
  kind: "unnamed",
  subject: "plant",
  due({ record }) {
    const open = unnamedOn(record.looks);
    if (!open) return [];
    const last = lookDays(record).at(-1);
    const from = last !== undefined && last > open.since ? last : open.since;
    const plan = planOfUnnamed(record);
    const treatments = plan ? treatmentsToCome(plan) : [];
    return [
      lookDue("unnamed", addDays(from, WATCHED_EVERY_DAYS)),
      ...treatments.map(({ id: stepId, dueOn: on, dose }): Due => {
        return { what: "treat", on, programme: "unnamed", caseId: null, stepId, dose };
      }),
    ];
  },
  verdict: ({ record }) => (unnamedOn(record.looks) ? { ...notRunning, state: "atRisk" } : notRunning),
};
