import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { currentContext } from "@/app/_parts/server/context";
import { readForAdding } from "@/operations/plants/queries/readForAdding";
import { SeveralForm } from "./_parts/SeveralForm";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Add several plants" };

export default async function SeveralPage() {
  const context = await currentContext();
  const { places, codes } = await cachedView(context, "adding", () => readForAdding(context));
  // What has been here for long stands among the others; a shelf says more than its room.
  const usual = places.find(({ kind }) => kind === "shelf") ?? places[0];
  const rooms = places.filter(({ kind }) => kind === "room" || kind === "outdoors");
  const room = rooms.find(({ id }) => id === usual?.parentId) ?? rooms[0] ?? null;
  return (
    <>
      <h1>Add several plants</h1>
      <AsOf />
      {usual ? (
        <SeveralForm
          places={places.map(({ id, name }) => ({ id, name }))}
          room={room && { id: room.id, name: room.name }}
          usualPlaceId={usual.id}
          codes={codes}
        />
      ) : (
        <p>
          There is no place for them yet. <Link href="/benches/places/new">Add a place</Link> first.
        </p>
      )}
    </>
  );
}
