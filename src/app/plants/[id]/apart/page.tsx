import type { Metadata } from "next";
import { ApartForm } from "../_parts/ApartForm";
import { plantOf } from "../_parts/plantOf";

export const metadata: Metadata = { title: "Set apart" };

export default async function ApartPage({ params }: { params: Promise<{ id: string }> }) {
  const { view, now } = await plantOf(params);
  const places = view.places.filter((place) => place.kind === "isolation");
  return (
    <>
      <h1>
        Set apart {view.plant.code} {view.plant.name}
      </h1>
      <p>
        Best is another room with the door shut. A clear bag tied over the pot does where there is no room. A plant too
        big to move stays: move the others away from it instead. Clean your hands and sleeves afterwards.
      </p>
      <ApartForm plantId={view.plant.id} places={places} now={now} />
    </>
  );
}
