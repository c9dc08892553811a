import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import Alert from "react-bootstrap/Alert";
import { may } from "@/core/access/roles";
import type { PlantCard } from "@/core/schedule/state/plantCard";
import { readPhytotoxicity } from "@/operations/cases/queries/readPhytotoxicity";
import { readClearable } from "@/operations/cases/queries/readClearable";
import { readRooms } from "@/operations/seasons/queries/readRooms";
import { readToday } from "@/operations/plants/queries/readToday";
import { AsOf } from "@/app/_parts/AsOf";
import { Panel } from "@/ui/Panel";
import { PhoneMore } from "@/ui/PhoneMore";
import { PlantLine } from "@/ui/PlantLine";
import { LinkIfOpen, Only } from "@/ui/shell/Only";
import { dayCount, dayInWords, fromToday } from "@/wording/dates";
import { pestNames } from "@/wording/names/names";
import { programmeNames } from "@/wording/names/programmes";
import { currentContext, markNow } from "../_parts/server/context";
import { cachedBeside } from "../_parts/server/pageCache";
import { NotRead } from "@/ui/NotRead";
import { Live } from "../_parts/Live";
import { Clearable } from "./_parts/Clearable";
import { HowBorne } from "./_parts/HowBorne";
import { readBackup } from "./_parts/readBackup";
import { RoomDues } from "./_parts/RoomDues";
import { DueBatchCard } from "./_parts/DueBatchCard";
import { cachedView } from "@/app/_parts/server/cachedView";

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
    <Panel title="No plants yet">
      <p>Add the plants on your windowsills first, then you can start looking.</p>
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

/** The walk has them all: on a phone the first are enough. */
const LOOKS_ON_PHONE = 4;

export default async function TodayPage() {
  const context = await currentContext("see");
  const mark = await markNow(context);
  const { id } = context.collection;
  const [view, likelyOver, afterwards, rooms, backup] = await Promise.all([
    cachedView(context, "today", () => readToday(context)),
    may(context.role, "read") ? cachedBeside(`${id} clearable`, () => readClearable(context)) : [],
    may(context.role, "record") ? cachedBeside(`${id} afterwards`, () => readPhytotoxicity(context)) : [],
    may(context.role, "read") ? cachedBeside(`${id} rooms`, () => readRooms(context, SOON_DAYS)) : [],
    may(context.role, "own") && !context.collection.isDemo
      ? cachedBeside(`${id} backup`, () => readBackup(context))
      : null,
  ]);
  // Nobody plans against what is likely over.
  const over = new Set(likelyOver?.map(({ caseId }) => caseId));
  const unplanned = view.unplanned.filter(({ caseId }) => !over.has(caseId));
  const clearable = likelyOver?.filter(({ met }) => met) ?? [];
  const nothing =
    clearable.length + view.batches.length + view.loose.length + unplanned.length + view.looksDueCount === 0;
  return (
    <>
      <Live mark={mark} />
      <AsOf />
      <p className="text-body-secondary mb-0">{context.collection.name}</p>
      <h1>Today, {dayInWords(view.day)}</h1>
      {backup && backup.age !== null && (
        <Alert variant="warning" role="status">
          {backup.age === Infinity ? "There is no backup yet" : `The newest backup is ${dayCount(backup.age)} old`}
          {backup.why && `: ${backup.why}`}. <Link href="/settings/data">Backups</Link>
        </Alert>
      )}
      {nothing && view.plants > 0 && <p className="fs-5">Nothing needs you today.</p>}
      {view.plants === 0 && may(context.role, "record") && <FirstPlants />}
      {likelyOver ? <Clearable cases={clearable} /> : <NotRead what="What may be called clear" />}
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
          <p className="d-flex flex-wrap gap-2">
            {view.batches.length > 0 && (
              <Link className="btn btn-outline-primary" href="/evening">
                Plan the evening
              </Link>
            )}
            {view.batches.length > 1 && (
              <Link className="btn btn-outline-primary" href="/session/due/all">
                Start everything due
              </Link>
            )}
            {view.plants > 0 && (
              <Only right="record">
                <Link className="btn btn-outline-primary" href="/session">
                  Several plants at once
                </Link>
              </Only>
            )}
          </p>
          {view.batches.map((batch) => (
            <DueBatchCard key={batch.what} batch={batch} measuring={context.collection} />
          ))}
          {may(context.role, "read") && !rooms && <NotRead what="What rooms and seasons need" />}
          {may(context.role, "read") && rooms && <RoomDues dues={rooms} day={view.day} />}
          {unplanned.length > 0 && may(context.role, "record") && (
            <Panel title="Found, no plan yet">
              <ul className="list-group list-group-flush">
                {unplanned.map(({ caseId, pest, plant }) => (
                  <PlantLine key={caseId} plant={plant} note={pestNames[pest].toLowerCase()}>
                    <Link className="btn btn-outline-primary" href={`/cases/${caseId}/plan`}>
                      Make a plan
                    </Link>
                  </PlantLine>
                ))}
              </ul>
            </Panel>
          )}
          {afterwards ? <HowBorne asked={afterwards} day={view.day} /> : <NotRead what="Reactions to treatments" />}
          <Panel title={view.looksDueCount === 0 ? "No looks due" : `Looks due: ${view.looksDueCount}`}>
            <div className="d-flex flex-wrap gap-2 mb-2">
              {view.looksDueCount > 0 && (
                <Link className="btn btn-primary" href="/walk">
                  Start the walk
                </Link>
              )}
              {view.plants > 0 && may(context.role, "read") && (
                <Link className="btn btn-outline-primary" href="/walk/tonight">
                  The most useful looks
                </Link>
              )}
            </div>
            <ul className="list-group list-group-flush">
              <PhoneMore first={LOOKS_ON_PHONE} more={`Show all ${view.looksDue.length}`}>
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
              </PhoneMore>
            </ul>
            {view.looksDueCount > view.looksDue.length && (
              <p className="mt-2 mb-0">Showing the longest overdue first.</p>
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
          <Panel title="Set apart">
            <Only right="read">
              <Link className="btn btn-outline-primary mb-2" href="/arrivals">
                Arrivals
              </Link>
            </Only>
            {view.apart.length === 0 && <p className="mb-0">No plant is set apart.</p>}
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
