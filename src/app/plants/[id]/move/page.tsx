import type { Metadata } from "next";
import { isApart } from "@/core/facts/descriptions";
import { MoveForm } from "../_parts/MoveForm";
import { plantOf } from "../_parts/plantOf";

export const metadata: Metadata = { title: "Move a plant" };

export default async function MovePage({ params }: { params: Promise<{ id: string }> }) {
  const { view, now } = await plantOf(params);
  const places = view.places.filter((place) => !isApart(place.kind) && place.id !== view.place.id);
  const back = isApart(view.place.kind);
  return (
    <>
      <h1>
        {back ? "Bring back" : "Move"} {view.plant.code} {view.plant.name}
      </h1>
      <p>It stands here now: {view.place.name}.</p>
      {back && view.open.length > 0 && (
        <p className="alert alert-danger" role="note">
          A case is still open. Bring the plant back among the others only when it is clear.
        </p>
      )}
      <MoveForm
        plantId={view.plant.id}
        places={places}
        placeId={(back && view.before?.id) || places[0]?.id || ""}
        now={now}
      />
    </>
  );
}
