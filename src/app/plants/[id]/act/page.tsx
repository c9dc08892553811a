import type { Metadata } from "next";
import { ActForm } from "@/app/_parts/act/ActForm";
import { plantOf } from "../_parts/plantOf";

export const metadata: Metadata = { title: "Record a treatment" };

export default async function ActPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, now } = await plantOf(params);
  const { plant } = view;
  const { id, growthForm, potCm } = plant;
  const cases = view.open.map(({ found }) => ({ id: found.id, pest: found.pest }));
  return (
    <>
      <h1>
        Record a treatment: {plant.code} {plant.name}
      </h1>
      <ActForm
        on={{ plant: { id, growthForm, potCm, bearer: view.on.bearer, cases, courses: view.courses } }}
        measuring={context.collection}
        now={now}
        then={`/plants/${id}`}
        label="Save"
      />
    </>
  );
}
