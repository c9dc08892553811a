import type { Metadata } from "next";
import { LookForm } from "../_parts/LookForm";
import { plantOf } from "../_parts/plantOf";

export const metadata: Metadata = { title: "Look" };

export default async function LookPage({ params }: { params: Promise<{ id: string }> }) {
  const { view, nowLocal } = await plantOf(params);
  const { plant } = view;
  return (
    <>
      <h1>
        Look at {plant.code} {plant.name}
      </h1>
      <p>
        Lift and turn it. Begin inside, at the base and the crown, and work outwards: both faces of each leaf, the wall
        side too, then the pot.
      </p>
      <LookForm
        plantId={plant.id}
        growthForm={plant.growthForm}
        nowLocal={nowLocal}
        openPests={view.cases.filter((one) => one.open).map((one) => one.pest)}
      />
    </>
  );
}
