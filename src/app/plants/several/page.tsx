import type { Metadata } from "next";
import Link from "next/link";
import { currentContext } from "@/app/_parts/context";
import { readForAdding } from "@/operations/readForAdding";
import { SeveralForm } from "./_parts/SeveralForm";

export const metadata: Metadata = { title: "Add several plants" };

export default async function SeveralPage() {
  const { places, codes } = await readForAdding(await currentContext());
  // What has been here for long stands among the others; a shelf says more than its room.
  const usual = places.find(({ kind }) => kind === "shelf") ?? places[0];
  const rooms = places.filter(({ kind }) => kind === "room" || kind === "outdoors");
  const room = rooms.find(({ id }) => id === usual?.parentId) ?? rooms[0] ?? null;
  return (
    <>
      <h1>Add several plants</h1>
      {usual ? (
        <SeveralForm
          places={places.map(({ id, name }) => ({ id, name }))}
          room={room && { id: room.id, name: room.name }}
          usualPlaceId={usual.id}
          codes={codes}
        />
      ) : (
        <p>
          There is no place yet for them to stand. <Link href="/benches/places/new">Add a place</Link> first.
        </p>
      )}
    </>
  );
}
