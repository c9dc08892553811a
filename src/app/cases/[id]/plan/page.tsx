import type { Metadata } from "next";
import { pestNames } from "@/wording/names";
import { caseOf } from "../_parts/caseOf";
import { PlanForm } from "../_parts/PlanForm";

export const metadata: Metadata = { title: "Plan" };

export default async function PlanPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, today } = await caseOf(params);
  const { plant, place, sensitivities } = view.view;
  return (
    <>
      <h1>
        Plan for {plant.code} {plant.name}: {pestNames[view.found.pest].toLowerCase()}
      </h1>
      <p>
        One treatment never ends it: eggs and hidden animals survive, so the repeats must catch each hatch before it
        lays. Reckoned for {place.meanC} °C, the temperature of {place.name}.
      </p>
      {view.file ? (
        <PlanForm
          caseId={view.found.id}
          pest={view.found.pest}
          meanC={place.meanC}
          today={today}
          plant={{ sensitivities, inFlower: plant.inFlower }}
          potCm={plant.potCm}
          file={view.file}
          workDays={context.collection.workDays}
          target={context.collection.planPercent / 100}
          current={view.plan && { mix: view.plan.mix, technique: view.plan.technique }}
        />
      ) : (
        <p>No look that stands has found anything, so there is nothing to plan against.</p>
      )}
    </>
  );
}
