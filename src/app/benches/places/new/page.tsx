import type { Metadata } from "next";
import { currentContext } from "@/app/_parts/context";
import { readPlaces } from "@/operations/readPlaces";
import { AddPlaceForm } from "../_parts/PlaceForms";

export const metadata: Metadata = { title: "Add a place" };

export default async function AddPlacePage() {
  const places = await readPlaces(await currentContext());
  return (
    <>
      <h1>Add a place</h1>
      <AddPlaceForm places={places.map(({ id, name, kind }) => ({ id, name, kind }))} />
    </>
  );
}
