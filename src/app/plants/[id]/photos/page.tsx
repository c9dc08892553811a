import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { notFound } from "next/navigation";
import { AsOf } from "@/app/_parts/AsOf";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { cachedView } from "@/app/_parts/server/cachedView";
import { Live } from "@/app/_parts/Live";
import { may } from "@/core/access/roles";
import type { Day } from "@/core/shared/days";
import { standing } from "@/core/record/facts/facts";
import { newestGrowth } from "@/core/knowledge/plants/growthForms";
import { readPlant } from "@/operations/plants/queries/readPlant";
import { Panel } from "@/ui/Panel";
import { SameAgain } from "./_parts/SameAgain";
import { ThenAndNow } from "./_parts/ThenAndNow";

export const metadata: Metadata = { title: "Then and now" };

/** The same leaf at two times, and taken once more: scars stay, what has opened since tells whether it is over. */
export default async function PhotosPage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const { id } = await params;
  const mark = await markNow(context);
  const view = await cachedView(context, `plant ${id}`, () => readPlant(context, id));
  if (!view) notFound();
  const { plant, record } = view;
  const days = new Map(standing(record.looks).map((look) => [look.id, look.day as Day]));
  const photos = view.photos.flatMap(({ id: photoId, lookId, width, height }) => {
    const day = days.get(lookId);
    return day ? [{ id: photoId, day, width, height }] : [];
  });
  const lastLook = standing(record.looks).at(-1);
  return (
    <>
      {/* A find written down beside this page is then the look that its photo is kept with. */}
      <Live mark={mark} />
      <h1>
        Then and now: {plant.code} {plant.name}
      </h1>
      <AsOf />
      <div className="row gx-3">
        <div className="col-lg-7">
          <Panel title="Compare two dates">
            {photos.length < 2 ? (
              <p className="mb-0">
                {photos.length === 0 ? "There is no photo yet." : "There is one photo so far."} With two photos of the
                same leaf you see what is a scar and what is new.
              </p>
            ) : (
              <ThenAndNow photos={photos} />
            )}
          </Panel>
        </div>
        <div className="col-lg-5">
          {may(context.role, "record") && (
            <Panel title="The same leaf again">
              <SameAgain
                plantId={plant.id}
                about={`${plant.code} ${plant.name}`}
                ghost={photos.at(-1) ?? null}
                last={lastLook ? { id: lastLook.id, day: lastLook.day as Day } : null}
                spot={newestGrowth(plant.growthForm)}
              />
            </Panel>
          )}
        </div>
      </div>
      <p>
        <Link href={`/plants/${plant.id}`}>
          To {plant.code} {plant.name}
        </Link>
      </p>
    </>
  );
}
