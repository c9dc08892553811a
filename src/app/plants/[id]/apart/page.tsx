import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { momentNow } from "@/app/_parts/moments";
import { readApart } from "@/operations/plants/queries/readApart";
import { Panel } from "@/ui/Panel";
import { againstNames } from "@/wording/names/places";
import { ApartForm } from "../_parts/ApartForm";
import { IslandForm } from "../_parts/IslandForm";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Set apart" };

export default async function ApartPage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const { id } = await params;
  const view = await cachedView(context, `apart ${id}`, () => readApart(context, id));
  if (!view) notFound();
  const { plant, proposed, island } = view;
  const now = momentNow(context);
  return (
    <>
      <h1>
        Set apart {plant.code} {plant.name}
      </h1>
      <AsOf />
      <div className="row gx-3">
        <div className="col-lg-7">
          <Panel title="Where to">
            <p>
              Best is another room with the door shut; if there is none, tie a clear bag over plant and pot. Never put a
              new arrival next to a find. Clean your hands and sleeves afterwards.
            </p>
            <ApartForm
              plantId={plant.id}
              places={proposed.map(({ placeId, name, free, against }) => ({
                id: placeId,
                name: `${name}: ${[
                  free === null ? "" : free === 1 ? "room for one more" : `room for ${free} more`,
                  ...against.filter((one) => one !== "full" || free === null).map((one) => againstNames[one]),
                ]
                  .filter((one) => one !== "")
                  .join(", ")}`.replace(/: $/, ""),
                doubtful: against.some((one) => one !== "doorOpen"),
              }))}
              now={now}
            />
          </Panel>
        </div>
        <div className="col-lg-5">
          <Panel title="Too big to move">
            {island.length === 0 ? (
              <p className="mb-0">Nothing else is at {view.place.name}: it already stands alone.</p>
            ) : (
              <>
                <p>
                  Then isolate it where it is: it stays at {view.place.name}, and the others move away from it. Do not
                  shake anything, and look at each plant before you move it.
                </p>
                <IslandForm
                  others={island.map(({ plantId, placeId, card }) => ({
                    plantId,
                    placeId,
                    label: `${card.code} ${card.name}`,
                  }))}
                  places={view.places
                    .filter((place) => place.kind !== "bag" && place.id !== view.place.id)
                    .map(({ id, name }) => ({ id, name }))}
                  now={now}
                  plantId={plant.id}
                />
              </>
            )}
          </Panel>
        </div>
      </div>
    </>
  );
}
