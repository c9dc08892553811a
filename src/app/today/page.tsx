import type { Metadata } from "next";
import Link from "next/link";
import { may } from "@/core/access/roles";
import type { PlantCard } from "@/core/state/plantCard";
import { readAfterwards } from "@/operations/readAfterwards";
import { readRooms } from "@/operations/readRooms";
import { readToday } from "@/operations/readToday";
import { AsOf } from "@/ui/AsOf";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { LinkIfOpen, Only } from "@/ui/shell/Only";
import { dayInWords, fromToday } from "@/wording/dates";
import { pestNames } from "@/wording/names";
import { programmeNames } from "@/wording/programmes";
import { currentContext, markNow } from "../_parts/context";
import { kept } from "../_parts/kept";
import { Live } from "../_parts/Live";
import { HowBorne } from "./_parts/HowBorne";
import { RoomDues } from "./_parts/RoomDues";
import { SittingCard } from "./_parts/SittingCard";

export const metadata: Metadata = { title: "Today" };

/** What rooms ask for within so many days is shown. */
const SOON_DAYS = 3;

/** Why a look is due, where it is not just the round's turn. */
function why({ lookDueFor }: PlantCard): string {
  return lookDueFor === "round" ? "" : `: ${programmeNames[lookDueFor]}`;
}

/** Where a collection without plants begins. */
function FirstPlants() {
  return (
    <Panel title="There is no plant yet">
      <p>Write down what stands on your windowsills first: then there is something to look at.</p>
      <div className="d-flex flex-wrap gap-2">
        <Link className="btn btn-primary" href="/plants/several">
          Add several plants
        </Link>
        <Link className="btn btn-outline-primary" href="/plants/new">
          Add one
        </Link>
      </div>
    </Panel>
  );
}

export default async function TodayPage() {
  const context = await currentContext("see");
  const mark = await markNow(context);
  const { view, asOf } = await kept(`${context.collection.id} today`, () => readToday(context));
  const afterwards = may(context.role, "record") ? await readAfterwards(context).catch(() => []) : [];
  const rooms = may(context.role, "read") ? await readRooms(context, SOON_DAYS).catch(() => []) : [];
  const nothing = view.sittings.length + view.loose.length + view.unplanned.length + view.looksDueCount === 0;
  return (
    <>
      <Live mark={mark} />
      <AsOf at={asOf} timeZone={context.collection.timeZone} />
      <p className="text-body-secondary mb-0">{context.collection.name}</p>
      <h1>Today, {dayInWords(view.day)}</h1>
      {nothing && view.plants > 0 && <p className="fs-5">Nothing needs you today.</p>}
      {view.plants === 0 && may(context.role, "record") && <FirstPlants />}
      {view.loose.length > 0 && (
        <Panel title="Infested and not yet set apart" tone="loud">
          <ul className="list-group list-group-flush">
            {view.loose.map((plant) => (
              <PlantLine key={plant.id} plant={plant}>
                <Only right="record">
                  <Link className="btn btn-danger" href={`/plants/${plant.id}/apart`}>
                    Set apart
                  </Link>
                </Only>
              </PlantLine>
            ))}
          </ul>
        </Panel>
      )}
      <div className="row gx-3">
        <div className="col-lg-7">
          {view.sittings.length > 0 && (
            <p>
              <Link className="btn btn-outline-primary" href="/evening">
                Plan the evening
              </Link>
            </p>
          )}
          {view.sittings.map((sitting) => (
            <SittingCard key={sitting.what} sitting={sitting} measuring={context.collection} />
          ))}
          {view.unplanned.length > 0 && may(context.role, "record") && (
            <Panel title="Found, and no plan yet">
              <ul className="list-group list-group-flush">
                {view.unplanned.map(({ caseId, pest, plant }) => (
                  <PlantLine key={caseId} plant={plant} note={pestNames[pest].toLowerCase()}>
                    <Link className="btn btn-outline-primary" href={`/cases/${caseId}/plan`}>
                      Make a plan
                    </Link>
                  </PlantLine>
                ))}
              </ul>
            </Panel>
          )}
          <HowBorne asked={afterwards} day={view.day} />
          <Panel title={view.looksDueCount === 0 ? "No looks due" : `Looks due: ${view.looksDueCount}`}>
            <div className="d-flex flex-wrap gap-2 mb-2">
              {view.looksDueCount > 0 && (
                <Link className="btn btn-primary" href="/walk">
                  Walk them
                </Link>
              )}
              {view.plants > 0 && may(context.role, "read") && (
                <Link className="btn btn-outline-primary" href="/walk/tonight">
                  The looks that find most
                </Link>
              )}
            </div>
            <ul className="list-group list-group-flush">
              {view.looksDue.map((plant) => (
                <PlantLine
                  key={plant.id}
                  plant={plant}
                  note={`due ${fromToday(plant.lookDueOn, view.day)}${why(plant)}`}
                >
                  <Only right="record">
                    <Link
                      className="btn btn-outline-primary"
                      href={`/plants/${plant.id}/look`}
                      aria-label={`Look at ${plant.code}`}
                    >
                      Look
                    </Link>
                  </Only>
                </PlantLine>
              ))}
            </ul>
            {view.looksDueCount > view.looksDue.length && (
              <p className="mt-2 mb-0">The longest overdue are shown; the others follow.</p>
            )}
          </Panel>
        </div>
        <div className="col-lg-5">
          {view.next && (
            <Panel title="Next">
              <p className="mb-0">
                {dayInWords(view.next.day)}, {fromToday(view.next.day, view.day)}:{" "}
                {view.next.what === "treat" ? "treat" : "look at"}{" "}
                <LinkIfOpen href={`/plants/${view.next.plant.id}`}>
                  {view.next.plant.code} {view.next.plant.name}
                </LinkIfOpen>
                .
              </p>
            </Panel>
          )}
          {may(context.role, "read") && <RoomDues dues={rooms} day={view.day} />}
          <Panel title="Under the bell jar">
            <Only right="read">
              <Link className="btn btn-outline-primary mb-2" href="/arrivals">
                Arrivals
              </Link>
            </Only>
            {view.apart.length === 0 && <p className="mb-0">No plant stands apart.</p>}
            <ul className="list-group list-group-flush">
              {view.apart.map((plant) => (
                <PlantLine key={plant.id} plant={plant} note={plant.placeName} />
              ))}
            </ul>
          </Panel>
        </div>
      </div>
    </>
  );
}
