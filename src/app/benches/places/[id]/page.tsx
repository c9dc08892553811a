import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/context";
import { readPlaces } from "@/operations/readPlaces";
import { EditPlaceForm } from "../_parts/PlaceForms";

export const metadata: Metadata = { title: "Place" };

export default async function PlacePage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const place = (await readPlaces(await currentContext())).find((one) => one.id === id);
  if (!place) notFound();
  return (
    <>
      <h1>{place.name}</h1>
      <EditPlaceForm place={place} />
    </>
  );
}
