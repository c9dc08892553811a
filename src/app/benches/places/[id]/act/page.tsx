import type { Metadata } from "next";
import { ActForm } from "@/app/_parts/act/ActForm";
import { inUse } from "@/core/knowledge/household/bottles";
import { placeOf } from "../_parts/placeOf";

export const metadata: Metadata = { title: "Record a treatment" };

export default async function PlaceActPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, now } = await placeOf(params);
  const { place } = view;
  const { household, notAllowed, bottles } = context.collection;
  const home = { household, notAllowed, bottles: inUse(bottles) };
  return (
    <>
      <h1>Record a treatment: {place.name}</h1>
      <p>It counts for every plant there, and in the places inside it, from then on.</p>
      <ActForm
        on={{ placeId: place.id, home, outdoors: place.kind === "outdoors" }}
        measuring={context.collection}
        now={now}
        then={`/benches/places/${place.id}`}
        label="Save"
      />
    </>
  );
}
