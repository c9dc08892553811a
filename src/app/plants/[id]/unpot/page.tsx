import { workOf } from "@/core/acts/works";
import { may } from "@/core/access/roles";
import type { Metadata } from "next";
import { daysBetween } from "@/core/shared/days";
import { springAfter } from "@/core/advice/diagnosis/priors";
import { treatmentsToCome } from "@/core/advice/plans/plans";
import { readUnpotting } from "@/operations/cases/queries/readUnpotting";
import { restsDry } from "@/core/advice/tolerance/treatedPlant";
import { notFound, redirect } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { momentNow } from "@/app/_parts/moments";
import { NotAllowed, today } from "@/operations/shared/context";
import { pestNames } from "@/wording/names/names";
import { Season } from "./_parts/Season";
import { Unpotting } from "./_parts/Unpotting";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Unpot" };

export default async function UnpotPage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext("see");
  const { id } = await params;
  const read = await cachedView(context, `unpotting ${id}`, () => readUnpotting(context, id)).catch(
    (error: unknown) => {
      // Whoever only tends sees it while it is due.
      if (error instanceof NotAllowed) return redirect("/closed");
      throw error;
    },
  );
  if (!read) notFound();
  const { plant, on, cases } = read;
  const { bearer } = on;
  const rests = restsDry(bearer);
  // What unpotting does nothing to is no reason to wait or not to.
  const weighed = cases.find(({ view }) => view.file && workOf("unpot").against.includes(view.found.pest));
  const planned = cases.flatMap(({ view }) => {
    const steps = view.plan ? treatmentsToCome(view.plan) : [];
    const step = steps.find(({ dose }) => "work" in dose && dose.work === "unpot");
    return step ? [{ caseId: view.found.id, stepId: step.id }] : [];
  })[0];
  const spring = springAfter(today(context), context.collection.hemisphere);
  return (
    <>
      <h1>
        Unpot {plant.code} {plant.name}
      </h1>
      <AsOf />
      {rests && weighed && (
        <Season
          file={weighed.view.file!}
          question={{
            ...{ first: today(context), workDays: context.collection.workDays, on },
            ...{ target: context.collection.clearPercent / 100, courses: weighed.view.courses },
            spring,
          }}
        />
      )}
      <Unpotting
        plantId={plant.id}
        bearer={bearer}
        cases={cases.map(({ view }) => ({ id: view.found.id, name: pestNames[view.found.pest] }))}
        caseId={planned?.caseId ?? cases[0]?.view.found.id ?? ""}
        stepId={planned?.stepId ?? ""}
        now={momentNow(context)}
        untilSpringDays={rests ? daysBetween(today(context), spring) : 0}
        then={may(context.role, "read") ? `/plants/${plant.id}` : "/today"}
      />
    </>
  );
}
