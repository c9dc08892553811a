import { addDays } from "../../shared/days";
import { planInForce } from "../../advice/plans/plans";
import { isLive } from "../../record/cases/record";
import { lookDays, lookDue, notRunning, WATCHED_EVERY_DAYS, type Due, type ProgrammeKind } from "./programme";

/**
 * The care of open cases: the steps of the plan in force, and a look every week whether there is a plan or not (common
 * practice). The worst case decides how the plant stands.
 */
export const casePlan: ProgrammeKind<"casePlan"> = {
  kind: "casePlan",
  subject: "plant",
  due({ record }) {
    const last = lookDays(record).at(-1);
    return record.cases
      .filter((one) => one.open)
      .flatMap((found): Due[] => {
        const weekly = addDays(last !== undefined && last > found.openedOn ? last : found.openedOn, WATCHED_EVERY_DAYS);
        const steps = planInForce(found, record.cases, record)?.steps ?? [];
        const latestDone = (kind: string) =>
          steps.findLast((step) => step.kind === kind && step.doneOn !== null)?.dueOn;
        // A look that was left out is made up by the next; a treatment is not.
        const open = steps.filter(
          ({ kind, dueOn, doneOn }) => doneOn === null && (kind === "treat" || dueOn > (latestDone("look") ?? "")),
        );
        return [
          lookDue("casePlan", weekly, { caseId: found.id }),
          ...open.map(({ id: stepId, kind, dueOn, dose }): Due => ({
            what: kind,
            on: dueOn,
            programme: "casePlan",
            caseId: found.id,
            stepId,
            dose,
          })),
        ];
      });
  },
  verdict({ record, petalsOf }) {
    const open = record.cases.filter((one) => one.open);
    if (open.length === 0) return notRunning;
    if (open.some((one) => isLive(one, record.inspections))) return { ...notRunning, state: "infested" };
    return { ...notRunning, state: "surer", petals: Math.min(...open.map((one) => petalsOf(one.id))) };
  },
};
