import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { Suspense } from "react";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { EndPress } from "@/app/_parts/EndPress";
import { Live } from "@/app/_parts/Live";
import { may } from "@/core/access/roles";
import type { Day } from "@/core/shared/days";
import { groupBy } from "@/core/shared/groupBy";
import {
  readPrevention,
  readPreventionChoices,
  type GuestsView,
  type PreventionView,
} from "@/operations/seasons/queries/readPrevention";
import type { Context } from "@/operations/shared/context";
import type { RoundsView } from "@/operations/walks/queries/readRounds";
import { Panel } from "@/ui/Panel";
import { predatorNames } from "@/wording/names/acts";
import type { Units } from "@/wording/units";
import { dayInWords, fromToday } from "@/wording/dates";
import { mixNames, techniqueNames } from "@/wording/names/names";
import { rhythmSentence, sparedNames } from "@/wording/advice/seasons/seasons";
import { BeginGuests } from "./_parts/BeginGuests";
import { BeginRounds } from "./_parts/BeginRounds";
import { SachetPress } from "./_parts/SachetPress";
import { Worth } from "./_parts/Worth";
import { cachedView, standingIn } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";
import { plantsInWords } from "@/wording/names/plants";
import { PutTotals } from "@/ui/acts/PutTotals";

export const metadata: Metadata = { title: "Prevention" };

/** Plants that two programmes treat are named up to so many. */
const SHOWN = 8;

/** Rounds of the whole collection, what they are worth, and predators let loose before anything is found. */
export default async function PreventionPage() {
  const context = await currentContext();
  const mark = await markNow(context);
  const { running, places } = await cachedView(context, "prevention choices", () => readPreventionChoices(context));
  const saidAlready = standingIn().since !== null;
  const records = may(context.role, "record");
  return (
    <>
      <Live mark={mark} />
      <h1>Prevention</h1>
      <AsOf />
      <p>
        Growers disagree about spraying everything or only what is sick. This shows what one round now would be worth
        and what it takes; looking does most of the protecting. A place can have its own rounds.
      </p>
      <div className="row gx-3">
        <div className="col-lg-7">
          {/* It comes after the rest: every plant is read for it, and weighed for every mix. */}
          <Suspense fallback={<Working title={running.length > 0 ? "Rounds" : "One round now"} />}>
            <Now context={context} saidAlready={saidAlready} records={records} />
          </Suspense>
        </div>
        <div className="col-lg-5">
          {records && (
            <>
              <Panel title="Start or change rounds">
                <BeginRounds rounds={running} places={places} hemisphere={context.collection.hemisphere} />
              </Panel>
              <Panel title="Predators as prevention">
                <BeginGuests places={places} />
              </Panel>
            </>
          )}
        </div>
      </div>
    </>
  );
}

function Working({ title }: { title: string }) {
  return (
    <Panel title={title}>
      <p className="mb-0">Working through every plant …</p>
    </Panel>
  );
}

/** What runs, what is due of it, and what one round would be worth. `told`: the page says already that it is not of now. */
async function Now({ context, saidAlready, records }: { context: Context; saidAlready: boolean; records: boolean }) {
  const view = await cachedView(context, "prevention", () => readPrevention(context));
  const { units } = context.collection;
  return (
    <>
      {!saidAlready && <AsOf />}
      {view.rounds.map((one) => (
        <Running key={one.placeId ?? "all"} running={one} day={view.day} records={records} units={units} />
      ))}
      {view.guests.map((one) => (
        <Guests key={`${one.placeId} ${one.chosen.predator}`} guests={one} day={view.day} records={records} />
      ))}
      <Suspense fallback={<Working title="One round now" />}>
        <Worth worthOf={view.worthOf} units={units} />
      </Suspense>
    </>
  );
}

function Running({ running, day, records, units }: { running: RoundsView; day: Day; records: boolean; units: Units }) {
  const { chosen, tonight, due, next, spared, restingRisk, placeId, placeName, twice } = running;
  return (
    <Panel title={`Rounds: ${placeName ?? "the whole collection"}`} tone={tonight.length > 0 ? "proposed" : undefined}>
      <p className="mb-2">
        {mixNames[chosen.mix]}, {techniqueNames[chosen.technique].toLowerCase()},{" "}
        {chosen.who === "all" ? "everyone" : "the most prone plants"}, {rhythmSentence(chosen)}.{" "}
        {due > 0
          ? `${due} due, ${tonight.length} fit tonight.`
          : next
            ? `Next ${dayInWords(next)}, ${fromToday(next, day)}.`
            : "No plant is due."}
        {chosen.pausedUntil && chosen.pausedUntil > day && ` Paused until ${dayInWords(chosen.pausedUntil)}.`}
        {!running.inSeason && " Out of season: nothing is due until it starts again."}
      </p>
      {twice.map((one) => (
        <p key={one.with} className="fw-semibold text-danger-emphasis mb-2">
          {one.codes.length > SHOWN ? `${one.codes.length} plants` : one.codes.join(", ")}:{" "}
          {one.codes.length === 1 ? "it is" : "they are"} in the rounds of {one.with ?? "the whole collection"} as well.
          Keep them in one, or leave days between the two.
        </p>
      ))}
      {tonight.length > 0 && (
        <>
          <ul className="mb-2 ps-3">
            <PutTotals acts={tonight.map(({ act }) => act)} units={units} />
          </ul>
          {records && (
            <Link className="btn btn-primary big" href={`/session?who=round&id=${placeId ?? "all"}`}>
              Start: {plantsInWords(tonight.length)}
            </Link>
          )}
        </>
      )}
      {spared.length > 0 && (
        <details className="mt-2">
          <summary>Left out: {spared.length}</summary>
          <ul className="mb-0">
            {[...groupBy(spared, ({ why }) => why)].map(([why, some]) => (
              <li key={why}>
                {sparedNames[why]}: {some.map(({ plant }) => plant.code).join(", ")}
              </li>
            ))}
          </ul>
        </details>
      )}
      {restingRisk > 0.005 && (
        <p className="small mt-2">
          Of the plants resting dry {restingRisk < 1 ? restingRisk.toFixed(2) : restingRisk.toFixed(1)} are expected to
          carry something: look at them.
        </p>
      )}
      {records && (
        <div className="mt-2">
          <EndPress programme="prevention" placeId={placeId} clear={false} />
        </div>
      )}
    </Panel>
  );
}

function Guests({ guests, day, records }: { guests: GuestsView; day: PreventionView["day"]; records: boolean }) {
  const { placeId, placeName, chosen, due, wouldSpray } = guests;
  return (
    <Panel title={`${predatorNames[chosen.predator]}: ${placeName}`} tone={due.on <= day ? "proposed" : undefined}>
      <p className="mb-2">
        {due.on <= day
          ? due.again
            ? "The sachets are due for renewal."
            : "They can be released now."
          : `${due.again ? "Renewal due" : "Release due"} ${dayInWords(due.on)}, ${fromToday(due.on, day)}.`}
        {due.freeFrom && ` Something was sprayed there: safe for them from ${dayInWords(due.freeFrom)}.`}
      </p>
      {wouldSpray.length > 0 && (
        <p className="fw-semibold text-danger-emphasis">
          The preventive rounds would spray {plantsInWords(wouldSpray.length)} here ({wouldSpray.slice(0, 8).join(", ")}
          ): sprays kill them. While they live, those plants are left out of the rounds.
        </p>
      )}
      {records && (
        <div className="d-flex flex-wrap gap-2">
          {due.on <= day && <SachetPress placeId={placeId} chosen={chosen} />}
          <EndPress programme="guests" placeId={placeId} clear={false} />
        </div>
      )}
    </Panel>
  );
}
