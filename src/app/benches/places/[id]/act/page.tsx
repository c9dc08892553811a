import type { Metadata } from "next";
import { ActForm } from "@/app/_parts/act/ActForm";
import { inUse } from "@/core/household/bottles";
import { placeOf } from "../_parts/placeOf";

export const metadata: Metadata = { title: "Write down an act" };

export default async function PlaceActPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, now } = await placeOf(params);
  const { place } = view;
  const { household, notAllowed, bottles } = context.collection;
  const home = { household, notAllowed, bottles: inUse(bottles) };
  return (
    <>
      <h1>Write down an act: {place.name}</h1>
      <p>It counts for every plant that stands there, or in a place within it, from then on.</p>
      <ActForm
        on={{ placeId: place.id, home, outdoors: place.kind === "outdoors" }}
        measuring={context.collection}
        now={now}
        then={`/benches/places/${place.id}`}
        label="Write it down"
      />
    </>
  );
}
