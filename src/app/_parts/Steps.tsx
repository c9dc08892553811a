import { Check, Circle, CircleAlert } from "lucide-react";
import type { Day } from "@/core/shared/days";
import type { Plan } from "@/core/advice/plans/plans";
import { dayInWords, fromToday } from "@/wording/dates";
import { plannedName } from "@/wording/names/acts";

interface Props {
  plan: Plan;
  today: Day;
  open: boolean;
}

/** The dated steps of a plan: what is done, what is due, what is late. */
export function Steps({ plan, today, open }: Props) {
  const several = new Set(plan.steps.flatMap(({ dose }) => (dose ? plannedName(dose) : []))).size > 1;
  return (
    <ol className="list-unstyled mb-0">
      {plan.steps.map((step) => {
        const later = plan.steps.some((s) => s.kind === step.kind && s.dueOn > step.dueOn && s.doneOn !== null);
        const late = open && !later && step.doneOn === null && step.dueOn < today;
        const Icon = step.doneOn !== null ? Check : late ? CircleAlert : Circle;
        return (
          <li
            key={step.id}
            className={`d-flex gap-2 align-items-center py-1 ${late ? "fw-semibold text-danger-emphasis" : ""}`}
          >
            <Icon size={18} aria-hidden />
            <span>
              {step.kind === "treat" ? "Treat" : "Look"} {dayInWords(step.dueOn)}
              {step.dose && several && <span className="small">: {plannedName(step.dose)}</span>}
            </span>
            <span className="text-body-secondary small">
              {step.doneOn !== null && `done ${step.doneOn === step.dueOn ? "on the day" : dayInWords(step.doneOn)}`}
              {step.byAnother && ", with the same treatment for another plan"}
              {step.doneOn === null && later && "left out"}
              {step.doneOn === null &&
                !later &&
                open &&
                (late ? `late: ${fromToday(step.dueOn, today)}` : fromToday(step.dueOn, today))}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
