import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/context";
import { ActForm } from "@/app/_parts/act/ActForm";
import { momentNow } from "@/app/_parts/moments";
import { workIds } from "@/core/acts/workIds";
import { isMix, mixIds } from "@/core/knowledge/mixes/mixes";
import { readSitting } from "@/operations/sessions/queries/readSitting";
import { sittingName } from "@/wording/names/acts";
import { pestName } from "@/wording/names/names";
import { cachedView } from "@/app/_parts/cachedView";

export const metadata: Metadata = { title: "Something went differently" };

/** One step of a sitting that did not go as planned, written down as it went. */
export default async function StepPage({ params }: { params: Promise<{ what: string; stepId: string }> }) {
  const { what: asked, stepId } = await params;
  const what = [...mixIds, ...workIds].find((id) => id === asked);
  if (!what) notFound();
  const context = await currentContext("see");
  const line = (
    await cachedView(context, `sitting ${what} ${stepId}`, () => readSitting(context, what, [stepId]))
  ).lines.find((one) => one.stepId === stepId);
  if (!line) notFound();
  const { plant, bearer, caseId, pest, planned, volumeMl, placeName } = line;
  const cases = caseId !== null && pest !== null ? [{ id: caseId, pest }] : [];
  const { form: growthForm, potCm } = bearer;
  return (
    <>
      <h1>
        {plant.code} {plant.name}
      </h1>
      <p>
        {placeName}. Planned: {sittingName(what).toLowerCase()}, against {pestName(pest)}.
      </p>
      <ActForm
        on={{ plant: { id: plant.id, growthForm, potCm, bearer, cases } }}
        measuring={context.collection}
        now={momentNow(context)}
        steps={[{ id: stepId, kind: "treat", dueOn: line.dueOn, dose: planned, doneOn: null }]}
        volumeMl={isMix(what) ? volumeMl : undefined}
        then={`/sitting/${what}`}
        label="Treated"
      />
    </>
  );
}
