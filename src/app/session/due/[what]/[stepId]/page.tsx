import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { ActForm } from "@/app/_parts/act/ActForm";
import { momentNow } from "@/app/_parts/moments";
import { workIds } from "@/core/acts/workIds";
import { mixIds } from "@/core/knowledge/mixes/mixes";
import { isWork, treatmentOf } from "@/core/advice/planning/doses";
import { readDueStep } from "@/operations/sessions/queries/readDue";
import { treatmentName } from "@/wording/names/acts";
import { pestName } from "@/wording/names/names";
import { cachedView } from "@/app/_parts/server/cachedView";

export const metadata: Metadata = { title: "Something went differently" };

/** One step of a session that did not go as planned, written down as it went. */
export default async function StepPage({ params }: { params: Promise<{ what: string; stepId: string }> }) {
  const { what: asked, stepId } = await params;
  const what = (["all", ...mixIds, ...workIds] as const).find((id) => id === asked);
  if (!what) notFound();
  const context = await currentContext("see");
  const line = await cachedView(context, `due step ${stepId}`, () => readDueStep(context, stepId));
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
        {placeName}. Planned: {treatmentName(treatmentOf(planned)).toLowerCase()}, against {pestName(pest)}.
      </p>
      <ActForm
        on={{ plant: { id: plant.id, growthForm, potCm, bearer, cases } }}
        measuring={context.collection}
        now={momentNow(context)}
        steps={[{ id: stepId, kind: "treat", dueOn: line.dueOn, dose: planned, doneOn: null }]}
        volumeMl={isWork(planned) ? undefined : volumeMl}
        then={`/session/due/${what}`}
        label="Treated"
      />
    </>
  );
}
