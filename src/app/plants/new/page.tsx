import type { Metadata } from "next";
import Link from "next/link";
import { currentContext } from "@/app/_parts/context";
import { nextCodes } from "@/core/plants/codes";
import { readForAdding } from "@/operations/readForAdding";
import { AddPlantForm } from "../_parts/PlantForm";

export const metadata: Metadata = { title: "Add a plant" };

export default async function AddPlantPage() {
  const { places, codes } = await readForAdding(await currentContext());
  const first = places.find((place) => place.kind === "isolation") ?? places[0];
  return (
    <>
      <h1>Add a plant</h1>
      {first ? (
        <AddPlantForm places={places} placeId={first.id} code={nextCodes(codes, 1)[0]!} />
      ) : (
        <p>
          There is no place yet for it to stand. <Link href="/benches/places/new">Add a place</Link> first.
        </p>
      )}
    </>
  );
}
