import type { Metadata } from "next";
import Link from "next/link";
import Alert from "react-bootstrap/Alert";
import { may } from "@/core/access/roles";
import type { PlantCard } from "@/core/state/plantCard";
import { readAfterwards } from "@/operations/readAfterwards";
import { readClearable } from "@/operations/readClearable";
import { readRooms } from "@/operations/readRooms";
import { readToday } from "@/operations/readToday";
import { readTroubles } from "@/operations/fence";
import { backupAge } from "@/operations/transfer/backups";
import { backupSettings } from "@/env";
import type { Context } from "@/operations/context";
import { AsOf } from "@/ui/AsOf";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { LinkIfOpen, Only } from "@/ui/shell/Only";
import { dayCount, dayInWords, fromToday } from "@/wording/dates";
import { pestNames } from "@/wording/names";
import { programmeNames } from "@/wording/programmes";
import { currentContext, markNow } from "../_parts/context";
import { kept, keptBeside } from "../_parts/kept";
import { NotRead } from "@/ui/NotRead";
import { Live } from "../_parts/Live";
import { Clearable } from "./_parts/Clearable";
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

/** How old the newest backup is, where it is too old, and why there is no newer one. */
async function readBackup(context: Context) {
  const trouble = (await readTroubles(context)).find(({ work }) => work === "backup");
  const age = await backupAge(context.collection, backupSettings(), context.now, trouble !== undefined);
  return { age, why: trouble?.why ?? "" };
}

export default async function TodayPage() {
  const context = await currentContext("see");
  const mark = await markNow(context);
  const { view, asOf } = await kept(`${context.collection.id} today`, () => readToday(context));
  const { id } = context.collection;
  const [likelyOver, afterwards, rooms, backup] = await Promise.all([
    may(context.role, "read") ? keptBeside(`${id} clearable`, () => readClearable(context)) : [],
    may(context.role, "record") ? keptBeside(`${id} afterwards`, () => readAfterwards(context)) : [],
    may(context.role, "read") ? keptBeside(`${id} rooms`, () => readRooms(context, SOON_DAYS)) : [],
    may(context.role, "own") && !context.collection.isDemo
      ? keptBeside(`${id} backup`, () => readBackup(context))
      : null,
  ]);
  // Nobody plans against what is likely over.
  const over = new Set(likelyOver?.map(({ caseId }) => caseId));
  const unplanned = view.unplanned.filter(({ caseId }) => !over.has(caseId));
  const clearable = likelyOver?.filter(({ met }) => met) ?? [];
  const nothing =
    clearable.length + view.sittings.length + view.loose.length + unplanned.length + view.looksDueCount === 0;
  return (
    <>
      <Live mark={mark} />
      <AsOf at={asOf} timeZone={context.collection.timeZone} />
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
            {view.sittings.length > 0 && (
              <Link className="btn btn-outline-primary" href="/evening">
                Plan the evening
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
          {view.sittings.map((sitting) => (
            <SittingCard key={sitting.what} sitting={sitting} measuring={context.collection} />
          ))}
          {may(context.role, "read") && !rooms && <NotRead what="What rooms and seasons ask for" />}
          {may(context.role, "read") && rooms && <RoomDues dues={rooms} day={view.day} />}
          {unplanned.length > 0 && may(context.role, "record") && (
            <Panel title="Found, and no plan yet">
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
          {afterwards ? (
            <HowBorne asked={afterwards} day={view.day} />
          ) : (
            <NotRead what="What is to be said of treatments" />
          )}
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
