import type { Metadata } from "next";
import { EditPlantForm } from "../../_parts/PlantForm";
import { plantOf } from "../_parts/plantOf";

export const metadata: Metadata = { title: "Edit a plant" };

export default async function EditPlantPage({ params }: { params: Promise<{ id: string }> }) {
  const { view } = await plantOf(params);
  return (
    <>
      <h1>
        {view.plant.code} {view.plant.name}
      </h1>
      <EditPlantForm plant={view.plant} />
    </>
  );
}
