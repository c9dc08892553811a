import type { Metadata } from "next";
import { pestNames } from "@/wording/names";
import { caseOf } from "../_parts/caseOf";
import { TreatForm } from "../_parts/TreatForm";

export const metadata: Metadata = { title: "Treat" };

export default async function TreatPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, nowLocal } = await caseOf(params);
  const { plant, sensitivities } = view.view;
  return (
    <>
      <h1>
        Treat {plant.code} {plant.name}: {pestNames[view.found.pest].toLowerCase()}
      </h1>
      <TreatForm
        caseId={view.found.id}
        plan={view.plan}
        plant={{ sensitivities, inFlower: plant.inFlower }}
        growthForm={plant.growthForm}
        volumeMl={view.volumeMl}
        measuring={context.collection}
        nowLocal={nowLocal}
        then={`/cases/${view.found.id}`}
      />
    </>
  );
}
