import type { Metadata } from "next";
import { readNaming } from "@/operations/readNaming";
import { plantOf } from "../_parts/plantOf";
import { NameIt } from "./_parts/NameIt";

export const metadata: Metadata = { title: "Name it" };

export default async function NamePage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, nowLocal } = await plantOf(params);
  const { season, nearby } = await readNaming(context, view);
  const { plant, place } = view;
  return (
    <NameIt
      stop={{
        id: plant.id,
        code: plant.code,
        name: plant.name,
        growthForm: plant.growthForm,
        placeId: place.id,
        nearby,
      }}
      view={{ season, places: [{ id: place.id, name: place.name, kind: place.kind, meanC: place.meanC, codes: [] }] }}
      nowLocal={nowLocal}
    />
  );
}
