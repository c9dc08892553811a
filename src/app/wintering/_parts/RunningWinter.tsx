import type { ReactNode } from "react";
import { Link } from "@/ui/Link";
import { EndPress } from "@/app/_parts/EndPress";
import { daysBetween, type Day } from "@/core/shared/days";
import { groupBy } from "@/core/shared/groupBy";
import { winterStepIds } from "@/core/advice/seasons/wintering";
import type { GivenGroup } from "@/operations/sessions/queries/readGroup";
import type { Wintering, WinterLine } from "@/operations/seasons/winteringNow";
import { Panel } from "@/ui/Panel";
import { PutTotals } from "@/ui/acts/PutTotals";
import { noSoakNames, winterStepNames } from "@/wording/advice/seasons/seasons";
import { dayCount, dayInWords, fromToday, hoursInWords } from "@/wording/dates";
import { plantsInWords } from "@/wording/names/plants";
import type { Units } from "@/wording/units";

const chance = (n: number) => (n < 0.05 ? "next to none" : n < 10 ? n.toFixed(1) : String(Math.round(n)));

/** The way in from one place: where it stands, what is due, and the evenings to come. */
export function RunningWinter({
  programme,
  day,
  records,
  units,
  children,
}: {
  programme: Wintering;
  day: Day;
  records: boolean;
  units: Units;
  /** How it is changed. */
  children: ReactNode;
}) {
  const {
    chosen,
    toName,
    placeName,
    plants,
    done,
    tonight,
    open,
    begunToday,
    again,
    batches,
    left,
    behind,
    stowaways,
    inside,
    roomMissing,
    beginsOn,
  } = programme;
  const comingDays = daysBetween(day, chosen.moveOn);
  const due = [...again, ...inside].filter(({ on }) => on <= day);
  const sessionOf = (who: GivenGroup) => `/session?who=${who}&id=${programme.placeId}`;
  return (
    <>
      <p className="fs-5" aria-live="polite">
        {placeName}: in by {dayInWords(chosen.moveOn)} (
        {comingDays >= 0 ? fromToday(chosen.moveOn, day) : `${dayCount(-comingDays)} ago`}), to {toName}.{" "}
        {plants === 0 ? "Nothing is left outdoors." : `${done} of ${plants} are ready.`}
        {beginsOn > day && ` It starts ${fromToday(beginsOn, day)}.`}
      </p>
      {plants > 0 && (
        <p>
          Expected to come in unnoticed: {chance(stowaways.planned)}{" "}
          {stowaways.planned === 1 ? "stowaway" : "stowaways"} if all goes as planned, {chance(stowaways.now)} if
          nothing more is done, {chance(stowaways.before)} with no treatment at all. Our own estimates.
        </p>
      )}
      {(behind.length > 0 || left.length > 0) && (
        <Panel title="Behind" tone="loud">
          {behind.length > 0 && (
            <p className="mb-1">Their evening has passed: {behind.map(({ code }) => code).join(", ")}.</p>
          )}
          {left.length > 0 && (
            <p className="mb-1">
              Do not fit on any evening before the move: {left.map(({ code }) => code).join(", ")}. More people,
              minutes, drying space, or more treatment days in Settings would help; or bring them in last, straight into
              isolation.
            </p>
          )}
        </Panel>
      )}
      {roomMissing > 0 && (
        <p className="fw-semibold">
          There is room for {roomMissing} fewer than come in: touching leaves pass pests on.
        </p>
      )}
      <div className="row gx-3">
        <div className="col-lg-7">
          {(tonight.length > 0 || begunToday.length > 0) && (
            <Panel
              title={tonight.length === 0 ? "Start today" : `Today: ${plantsInWords(tonight.length)}`}
              tone="proposed"
            >
              <Totals lines={tonight} units={units} />
              {records && (
                <div className="d-flex flex-wrap gap-2">
                  <Link className="btn btn-primary big" href={sessionOf("winter")}>
                    {tonight.length === 0 ? "Continue" : "Start, step by step or plant by plant"}
                  </Link>
                  {open.length > tonight.length && (
                    <Link className="btn btn-outline-primary big" href={sessionOf("winterAll")}>
                      All {open.length} that are left
                    </Link>
                  )}
                </div>
              )}
            </Panel>
          )}
          {tonight.length === 0 && begunToday.length === 0 && open.length > 0 && records && (
            <p>
              <Link className="btn btn-outline-primary" href={sessionOf("winterAll")}>
                Start all {open.length} now
              </Link>
            </p>
          )}
          {due.length > 0 && (
            <Panel title={`Due for another spray: ${plantsInWords(due.length)}`} tone="proposed">
              <p className="mb-2">{due.map(({ line }) => line.plant.code).join(", ")}</p>
              {records && (
                <Link className="btn btn-primary big" href={sessionOf("winterAgain")}>
                  Spray them
                </Link>
              )}
            </Panel>
          )}
          {due.length === 0 && again.length > 0 && (
            <p>Plants that are ready are sprayed again {fromToday(again[0]!.on, day)}, until they come in.</p>
          )}
          {plants === 0 && due.length === 0 && inside.length > 0 && (
            <p>The next spray inside is due {fromToday(inside[0]!.on, day)}.</p>
          )}
          {children}
        </div>
        <div className="col-lg-5">
          {batches.length > 0 && (
            <Panel title="The evenings">
              <ol className="list-unstyled mb-0">
                {batches.map(({ day: on, plantIds, minutes, drying }) => (
                  <li key={on}>
                    {dayInWords(on)}: {plantsInWords(plantIds.length)}, {hoursInWords(minutes)} of work, {drying} drying
                  </li>
                ))}
              </ol>
            </Panel>
          )}
          <Panel title="What each plant gets">
            <ol className="mb-2 ps-3">
              {winterStepIds
                .filter((step) => step !== "sponge" && step !== "drench")
                .map((step) => (
                  <li key={step}>{winterStepNames[step]}</li>
                ))}
            </ol>
            <p className="small mb-0">
              Prune as needed. Do not soak plants that are sickly or rot when wet. Wipe pots too big to carry in place
              with the weaker mix and water them through. Use dust only outdoors. Until the move spray again every ten
              days; inside weekly for a month, then every second week up to twelve weeks.
            </p>
          </Panel>
          {plants > 0 && comingDays <= 7 && (
            <p>
              <Link className="btn btn-outline-primary" href="/benches">
                Move them in on Benches
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

/** What of this evening must be poured, by mix, and what is soaked: one line each. */
function Totals({ lines, units }: { lines: readonly WinterLine[]; units: Units }) {
  const acts = lines.flatMap(({ work }) => work.flatMap(({ act }) => act ?? []));
  const soaked = acts.filter((act) => act.kind === "drench").length;
  const dry = groupBy(
    lines.filter(({ dry: why }) => why !== null),
    ({ dry: why }) => why!,
  );
  return (
    <ul className="mb-2 ps-3">
      <PutTotals acts={acts} units={units} />
      {soaked > 0 && <li>Soaked or watered through with weak soap: {plantsInWords(soaked)}</li>}
      {[...dry].map(([why, some]) => (
        <li key={why}>
          {some.map(({ plant }) => plant.code).join(", ")}: {noSoakNames[why]}
        </li>
      ))}
    </ul>
  );
}
