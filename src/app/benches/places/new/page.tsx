import type { Metadata } from "next";
import { currentContext } from "@/app/_parts/server/context";
import { readPlaces } from "@/operations/places/queries/readPlaces";
import { AddPlaceForm } from "../_parts/PlaceForms";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Add a place" };

export default async function AddPlacePage() {
  const context = await currentContext();
  const places = await cachedView(context, "places", () => readPlaces(context));
  return (
    <>
      <h1>Add a place</h1>
      <AsOf />
      <div className="row">
        <div className="col-lg-7">
          <AddPlaceForm places={places.map(({ id, name, kind }) => ({ id, name, kind }))} />
        </div>
      </div>
    </>
  );
}
