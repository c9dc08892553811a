import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import type { Plan } from "@/core/advice/plans/plans";
import { pestOf } from "@/core/knowledge/pests/pests";
import { eggToAdultDays } from "@/core/knowledge/pests/stageDurations";
import { pestNames } from "@/wording/names/names";
import { warmthInWords } from "@/wording/names/warmth";
import { cachedBeside } from "@/app/_parts/server/pageCache";
import { speaks } from "@/core/advice/learning/courses";
import { readCourses } from "@/operations/record/queries/readTaught";
import { readAlike } from "@/operations/cases/queries/readAlike";
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
  const { units } = collection;
  const alike = await cachedBeside(`${collection.id} alike ${view.found.id}`, () =>
    readAlike(context, view.found, place.id),
  );
  const courses = await cachedBeside(`${collection.id} courses`, () => readCourses(context));
  const hatches = place.meanC === null || eggToAdultDays(pestOf(view.found.pest), place.meanC) !== null;
  return (
    <>
      <h1>
        Plan for {plant.code} {plant.name}: {pestNames[view.found.pest].toLowerCase()}
      </h1>
      <p>
        {hatches
          ? "One treatment never ends it: the repeats must catch each hatch before it lays."
          : "Nothing hatches or grows at this temperature: what is missed now waits for warmth."}
        {place.meanC !== null &&
          ` Worked out for ${warmthInWords(place.meanC, units)}, the temperature at ${place.name}.`}
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
          taught={courses?.filter((one) => one.pest === view.found.pest && speaks(one)) ?? []}
          current={lastOf(view.plan)}
        />
      ) : (
        <p>
          {place.meanC === null ? (
            <>
              No temperature is recorded here: say at <Link href={`/benches/places/${place.id}`}>{place.name}</Link>{" "}
              about how warm it is, and dates can be worked out.
            </>
          ) : (
            "The find is too long ago to work from. Look again, and record what you see now."
          )}
        </p>
      )}
    </>
  );
}
