import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { AsOf } from "@/app/_parts/AsOf";
import { currentContext } from "@/app/_parts/server/context";
import { cachedView } from "@/app/_parts/server/cachedView";
import { readReplay } from "@/operations/places/queries/readReplay";
import { ReplayShelves } from "./_parts/ReplayShelves";

export const metadata: Metadata = { title: "How it got here" };

/** The shelves of the last year, day by day. */
export default async function ReplayPage({ searchParams }: { searchParams: Promise<{ room?: string | string[] }> }) {
  const context = await currentContext();
  const { room } = await searchParams;
  const asked = typeof room === "string" ? room : null;
  const view = await cachedView(context, `replay ${asked}`, () => readReplay(context, asked));
  const shown = view.replay.plants.length;
  return (
    <>
      <h1>How it got here</h1>
      <AsOf />
      {view.rooms.length > 1 && (
        <p className="d-flex flex-wrap gap-2 mb-2">
          {view.rooms.map(({ id, name, plants }) => (
            <Link
              key={id}
              className={`btn btn-sm d-inline-flex align-items-center ${id === view.room ? "btn-primary" : "btn-outline-primary"}`}
              aria-current={id === view.room ? "page" : undefined}
              href={id === view.room ? "/benches/replay" : `/benches/replay?room=${id}`}
            >
              {name}: {plants}
            </Link>
          ))}
        </p>
      )}
      {view.all > shown && (
        <p>
          {shown} of the {view.all} plants there at the time; all that were in a case are included.
        </p>
      )}
      {shown === 0 ? <p>The shelves were still empty.</p> : <ReplayShelves key={view.room} replay={view.replay} />}
    </>
  );
}
