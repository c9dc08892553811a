import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { Live } from "@/app/_parts/Live";
import { may } from "@/core/access/roles";
import { readWintering } from "@/operations/seasons/queries/readWintering";
import { Panel } from "@/ui/Panel";
import { BeginWintering } from "./_parts/BeginWintering";
import { RunningWinter } from "./_parts/RunningWinter";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Bringing in for winter" };

/** The way in for winter, counted back from the day of the move. */
export default async function WinteringPage() {
  const context = await currentContext();
  const mark = await markNow(context);
  const view = await cachedView(context, "wintering", () => readWintering(context));
  const { programmes, outdoors, day } = view;
  const records = may(context.role, "record");
  const idle = outdoors.filter(({ id }) => !programmes.some(({ placeId }) => placeId === id));
  const choices = { indoors: view.indoors, coldNights: view.coldNights, day };
  return (
    <>
      <Live mark={mark} />
      <h1>Bringing in for winter</h1>
      <AsOf />
      {programmes.map((programme) => (
        <section key={programme.placeId}>
          <RunningWinter programme={programme} day={day} records={records} units={context.collection.units}>
            {records && (
              <Panel title={`The move from ${programme.placeName}`}>
                <BeginWintering
                  {...choices}
                  outdoors={outdoors.filter(({ id }) => id === programme.placeId)}
                  chosen={programme.chosen}
                />
              </Panel>
            )}
          </RunningWinter>
        </section>
      ))}
      {programmes.length === 0 && (
        <p className="fs-5">
          {outdoors.length === 0
            ? "You have no outdoor place on record, so nothing has to come in."
            : "Start four to six weeks before the nights get too cold: hidden pests come in with the plants."}
        </p>
      )}
      {records && outdoors.length === 0 && (
        <Link className="btn btn-outline-primary" href="/benches/places/new">
          Add an outdoor place
        </Link>
      )}
      {records && idle.length > 0 && (
        <Panel title="When, and where to">
          <BeginWintering {...choices} outdoors={idle} chosen={null} />
        </Panel>
      )}
    </>
  );
}
