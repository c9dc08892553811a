import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { currentContext } from "@/app/_parts/server/context";
import { nextCodes } from "@/core/knowledge/plants/codes";
import { readForAdding } from "@/operations/plants/queries/readForAdding";
import { AddPlantForm } from "../_parts/PlantForm";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Add a plant" };

export default async function AddPlantPage() {
  const context = await currentContext();
  const { places, codes } = await cachedView(context, "adding", () => readForAdding(context));
  const first = places.find((place) => place.kind === "isolation") ?? places[0];
  return (
    <>
      <h1>Add a plant</h1>
      <AsOf />
      {first ? (
        <AddPlantForm places={places} placeId={first.id} code={nextCodes(codes, 1)[0]!} />
      ) : (
        <p>
          There is no place for it yet. <Link href="/benches/places/new">Add a place</Link> first.
        </p>
      )}
    </>
  );
}
