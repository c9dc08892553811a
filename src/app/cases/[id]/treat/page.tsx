import type { Metadata } from "next";
import { ActForm } from "@/app/_parts/act/ActForm";
import { treatmentsToCome } from "@/core/advice/plans/plans";
import { pestNames } from "@/wording/names/names";
import { caseOf } from "../_parts/caseOf";

export const metadata: Metadata = { title: "Treat" };

export default async function TreatPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, now } = await caseOf(params);
  const { found, plant } = view;
  const { id, growthForm, potCm } = plant;
  return (
    <>
      <h1>
        Treat {plant.code} {plant.name}: {pestNames[found.pest].toLowerCase()}
      </h1>
      <ActForm
        on={{
          plant: {
            id,
            growthForm,
            potCm,
            bearer: view.on.bearer,
            cases: [{ id: found.id, pest: found.pest }],
            courses: view.courses,
          },
        }}
        measuring={context.collection}
        now={now}
        steps={view.plan ? treatmentsToCome(view.plan) : []}
        volumeMl={view.volumeMl}
        then={`/cases/${found.id}`}
        label="Treated"
      />
    </>
  );
}
