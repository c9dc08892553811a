import { Link } from "@/ui/Link";
import { isOfRoom } from "@/core/knowledge/pests/pests";
import type { CaseView } from "@/operations/cases/queries/readCase";

/** What an open case can be gone on with, the likeliest filled. */
export function Presses({ view: { found, plant, place, plan, card, nextStep } }: { view: CaseView }) {
  const next = plan === null ? "plan" : nextStep === null ? "look" : "treat";
  const press = (label: string, href: string, filled = false) => (
    <Link className={`btn btn-${filled ? "" : "outline-"}primary`} href={href}>
      {label}
    </Link>
  );
  const look = `/plants/${plant.id}/look`;
  if (isOfRoom(found.pest))
    return (
      <div className="d-flex flex-wrap gap-2">
        {press("Gnats in the room", `/benches/places/${place.id}/gnats`, true)}
        {press("Look", look)}
      </div>
    );
  return (
    <div className="d-flex flex-wrap gap-2">
      {plan && press("Treat", `/cases/${found.id}/treat`, next === "treat")}
      {press(plan ? "Change the plan" : "Make a plan", `/cases/${found.id}/plan`, next === "plan")}
      {press("Look", look, next === "look")}
      {!plan && press("What first?", `/cases/${found.id}/decide`)}
      {found.pest === "rootMealybug" && press("Unpot", `/plants/${plant.id}/unpot`)}
      {press("Who else has it, and where it came from", `/cases/${found.id}/around`)}
      {!card.apart && (
        <Link className="btn btn-danger" href={`/plants/${plant.id}/apart`}>
          Set apart
        </Link>
      )}
    </div>
  );
}
