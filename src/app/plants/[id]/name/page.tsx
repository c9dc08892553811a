import type { Metadata } from "next";
import { readNaming } from "@/operations/readNaming";
import { plantOf } from "../_parts/plantOf";
import { NameIt } from "./_parts/NameIt";

export const metadata: Metadata = { title: "Name it" };

export default async function NamePage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, nowLocal } = await plantOf(params);
  const { season, nearby, openCases, places } = await readNaming(context, view);
  const { id, code, name, growthForm } = view.plant;
  const { apart } = view.card;
  return (
    <NameIt
      stop={{ id, code, name, growthForm, apart, placeId: view.place.id, nearby, openCases }}
      view={{ season, places }}
      nowLocal={nowLocal}
    />
  );
}
