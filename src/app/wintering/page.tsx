import type { Metadata } from "next";
import Link from "next/link";
import { currentContext, markNow } from "@/app/_parts/context";
import { EndPress } from "@/app/_parts/EndPress";
import { Live } from "@/app/_parts/Live";
import { RoundPresses, type RoundPress } from "@/app/_parts/RoundPresses";
import { may } from "@/core/access/roles";
import { cautionsOfAct } from "@/core/acts/acts";
import { daysBetween, type Day } from "@/core/climate/days";
import { readWintering, type Wintering, type WinterLine } from "@/operations/readWintering";
import { CautionList } from "@/ui/Cautions";
import { Panel } from "@/ui/Panel";
import { millilitres } from "@/wording/amounts";
import { objectionSentences } from "@/wording/cautions";
import { dayCount, dayInWords, fromToday, hoursInWords } from "@/wording/dates";
import { mixNames, techniqueNames } from "@/wording/names";
import { winterStepNames } from "@/wording/rooms";
import { BeginWintering } from "./_parts/BeginWintering";

export const metadata: Metadata = { title: "Bringing in for winter" };

/** The way in for winter, counted back from the day of the move. */
export default async function WinteringPage() {
  const context = await currentContext();
  const mark = await markNow(context);
  const view = await readWintering(context);
  const { programmes, outdoors, day } = view;
  const records = may(context.role, "record");
  const idle = outdoors.filter(({ id }) => !programmes.some(({ placeId }) => placeId === id));
  const choices = { indoors: view.indoors, coldNights: view.coldNights, day };
  return (
    <>
      <Live mark={mark} />
      <h1>Bringing in for winter</h1>
      {programmes.map((programme) => (
        <section key={programme.placeId}>
          <Running programme={programme} day={day} records={records} />
          {records && (
            <Panel title={`The move from ${programme.placeName}`}>
              <BeginWintering
                {...choices}
                outdoors={outdoors.filter(({ id }) => id === programme.placeId)}
                chosen={programme.chosen}
              />
            </Panel>
          )}
        </section>
      ))}
      {programmes.length === 0 && (
        <p className="fs-5">
          {outdoors.length === 0
            ? "No place out of doors is written down, so nothing has to come in."
            : "Begin four to six weeks before the nights get too cold: what stows away comes in with the plants."}
        </p>
      )}
      {records && outdoors.length === 0 && (
        <Link className="btn btn-outline-primary" href="/benches/places/new">
          Add a place out of doors
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

const chance = (n: number) => (n < 0.05 ? "next to none" : n < 10 ? n.toFixed(1) : String(Math.round(n)));

function Running({ programme, day, records }: { programme: Wintering; day: Day; records: boolean }) {
  const {
    chosen,
    toName,
    placeName,
    plants,
    done,
    tonight,
    batches,
    left,
    behind,
    stowaways,
    inside,
    roomMissing,
    beginsOn,
  } = programme;
  const comingDays = daysBetween(day, chosen.moveOn);
  const cautions = cautionsOf(tonight);
  const due = inside.filter(({ on }) => on <= day);
  const again = due.map(({ line }) => againOf(line));
  return (
    <>
      <p className="fs-5" aria-live="polite">
        {placeName}: in by {dayInWords(chosen.moveOn)} (
        {comingDays >= 0 ? fromToday(chosen.moveOn, day) : `${dayCount(-comingDays)} ago`}), to {toName}.{" "}
        {plants === 0 ? "Nothing stands out there any more." : `${done} of ${plants} are ready.`}
        {beginsOn > day && ` It begins ${fromToday(beginsOn, day)}.`}
      </p>
      {plants > 0 && (
        <p>
          Expected to come in unseen: {chance(stowaways.planned)} {stowaways.planned === 1 ? "stowaway" : "stowaways"}{" "}
          if all goes as planned, {chance(stowaways.now)} if nothing more were done, {chance(stowaways.before)} without
          any of it. Own estimates.
        </p>
      )}
      {(behind.length > 0 || left.length > 0) && (
        <Panel title="Behind" tone="loud">
          {behind.length > 0 && (
            <p className="mb-1">Their evening has gone by: {behind.map(({ code }) => code).join(", ")}.</p>
          )}
          {left.length > 0 && (
            <p className="mb-1">
              They fit on no evening before the move: {left.map(({ code }) => code).join(", ")}. More hands, minutes or
              drying places, or more working days in the settings, make room; or they come in last, straight into
              isolation.
            </p>
          )}
        </Panel>
      )}
      {roomMissing > 0 && (
        <p className="fw-semibold">
          There is room for {roomMissing} fewer than come in: leaves that touch pass everything on.
        </p>
      )}
      <div className="row gx-3">
        <div className="col-lg-7">
          {tonight.length > 0 && (
            <Panel title={`Today: ${tonight.length === 1 ? "one plant" : `${tonight.length} plants`}`} tone="proposed">
              {cautions.length > 0 && <CautionList against={[]} cautions={cautions} />}
              {records && <RoundPresses lines={tonight.map(pressOf)} label="Ready" />}
            </Panel>
          )}
          {due.length > 0 && (
            <Panel title={`Came in, and to be sprayed again: ${due.length}`} tone="proposed">
              <CautionList against={[]} cautions={cautionsOf(again)} />
              {records && <RoundPresses lines={again} label="Sprayed" />}
            </Panel>
          )}
          {plants === 0 && due.length === 0 && inside.length > 0 && (
            <p>The next spray inside is due {fromToday(inside[0]!.on, day)}.</p>
          )}
        </div>
        <div className="col-lg-5">
          {batches.length > 0 && (
            <Panel title="The evenings">
              <ol className="list-unstyled mb-0">
                {batches.map(({ day: on, plantIds, minutes, drying }) => (
                  <li key={on}>
                    {dayInWords(on)}: {plantIds.length} plants, {hoursInWords(minutes)} of hands, {drying} drying
                  </li>
                ))}
              </ol>
            </Panel>
          )}
          <Panel title="What is done to each">
            <ol className="mb-2 ps-3">
              {(["inspect", "prune", "rinse", "soak", "spray", "wait", "rinseOff", "pot"] as const).map((step) => (
                <li key={step}>{winterStepNames[step]}</li>
              ))}
            </ol>
            <p className="small mb-0">
              Not soaked: what is sickly, and succulents that rot when wet. Pots too big to carry are worked in place
              with the weaker mix. Dust only out of doors. Inside they are sprayed weekly for a month, then every second
              week until twelve weeks are over.
            </p>
          </Panel>
          {plants > 0 && comingDays <= 7 && (
            <p>
              <Link className="btn btn-outline-primary" href="/benches">
                Move them in on the benches
              </Link>
            </p>
          )}
          {records && (
            <EndPress programme="wintering" placeId={programme.placeId} clear={plants === 0 && inside.length === 0} />
          )}
        </div>
      </div>
    </>
  );
}

/** What must be read before any of them. */
const cautionsOf = (lines: readonly Pick<WinterLine, "acts">[]) => [
  ...new Set(lines.flatMap(({ acts }) => acts.flatMap(cautionsOfAct))),
];

/** What this plant has of its own beside what is done to each. */
function pressOf({ plant, steps, acts, against }: WinterLine): RoundPress {
  const put = acts.find((act) => act.kind === "contact");
  const told = [
    ...(steps.includes("sponge")
      ? ["in place, with a sponge"]
      : steps.includes("soak")
        ? []
        : ["its pot is not soaked"]),
    put?.kind === "contact"
      ? `${mixNames[put.mix].toLowerCase()}, about ${millilitres(put.volumeMl)}`
      : "it bears no mix: rinsed only",
  ];
  return { plantId: plant.id, code: plant.code, name: plant.name, told, careful: careOf(against), acts };
}

const careOf = (against: WinterLine["against"]) => [...new Set(against.map(({ code }) => objectionSentences[code]))];

/** Once inside, what was put on before is put on again, without the rinse. */
function againOf({ plant, acts, against }: WinterLine): RoundPress {
  const put = acts.filter((act) => act.kind === "contact");
  const told = put.map((act) =>
    act.kind === "contact"
      ? `${mixNames[act.mix]}, ${techniqueNames[act.technique].toLowerCase()}, about ${millilitres(act.volumeMl)}`
      : "",
  );
  return {
    plantId: plant.id,
    code: plant.code,
    name: plant.name,
    told,
    careful: careOf(against),
    acts: put,
  };
}
