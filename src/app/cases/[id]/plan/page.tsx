import type { Metadata } from "next";
import Link from "next/link";
import type { Plan } from "@/core/case/plans";
import { pestNames } from "@/wording/names";
import { warmthInWords } from "@/wording/warmth";
import { keptBeside } from "@/app/_parts/kept";
import { readAlike } from "@/operations/readAlike";
import { caseOf } from "../_parts/caseOf";
import { PlanForm } from "../_parts/PlanForm";

export const metadata: Metadata = { title: "Plan" };

/** What the last treatment of a plan is done with: one made by hand begins with it. */
function lastOf(plan: Plan | null) {
  return plan?.steps.findLast((step) => step.dose)?.dose ?? null;
}

export default async function PlanPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, today } = await caseOf(params);
  const { plant, place } = view;
  const { collection } = context;
  const alike = await keptBeside(`${collection.id} alike ${view.found.id}`, () =>
    readAlike(context, view.found, place.id),
  );
  return (
    <>
      <h1>
        Plan for {plant.code} {plant.name}: {pestNames[view.found.pest].toLowerCase()}
      </h1>
      <p>
        One treatment never ends it: eggs and hidden animals survive, so the repeats must catch each hatch before it
        lays.{place.meanC !== null && ` Reckoned for ${warmthInWords(place.meanC)}, as it is at ${place.name}.`}
      </p>
      {view.file && place.meanC !== null ? (
        <PlanForm
          caseId={view.found.id}
          plantId={plant.id}
          pest={view.found.pest}
          meanC={place.meanC}
          today={today}
          on={view.on}
          file={view.file}
          workDays={context.collection.workDays}
          target={context.collection.clearPercent / 100}
          courses={view.courses}
          nextLook={view.card.lookDueOn > today ? view.card.lookDueOn : null}
          alike={alike ?? []}
          current={lastOf(view.plan)}
        />
      ) : (
        <p>
          {place.meanC === null ? (
            <>
              Nothing is known of the warmth here: say at <Link href={`/benches/places/${place.id}`}>{place.name}</Link>{" "}
              about how warm it is, and the dates can be reckoned.
            </>
          ) : (
            "What was found lies too far back to be reckoned with. Look again, and write down what you see now."
          )}
        </p>
      )}
    </>
  );
}
