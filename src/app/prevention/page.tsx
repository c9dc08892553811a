import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { setImmediate } from "node:timers/promises";
import { Suspense } from "react";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { EndPress } from "@/app/_parts/EndPress";
import { Live } from "@/app/_parts/Live";
import { may } from "@/core/access/roles";
import type { Day } from "@/core/shared/days";
import { groupBy } from "@/core/shared/groupBy";
import { roundMixes, type RoundMixId } from "@/core/advice/seasons/prevention";
import { readPrevention, type GuestsView, type PreventionView } from "@/operations/seasons/queries/readPrevention";
import type { RoundsView } from "@/operations/walks/queries/readRounds";
import { Panel } from "@/ui/Panel";
import { predatorNames } from "@/wording/names/acts";
import { volumeIn, type Units } from "@/wording/units";
import { dayInWords, fromToday, hoursInWords } from "@/wording/dates";
import { mixNames, techniqueNames } from "@/wording/names/names";
import { rhythmSentence, sparedNames } from "@/wording/advice/seasons/seasons";
import { BeginGuests } from "./_parts/BeginGuests";
import { BeginRounds } from "./_parts/BeginRounds";
import { SachetPress } from "./_parts/SachetPress";
import { cachedView } from "@/app/_parts/server/cachedView";
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
  const view = await cachedView(context, "prevention", () => readPrevention(context));
  const { units } = context.collection;
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
          {view.rounds.map((one) => (
            <Running key={one.placeId ?? "all"} running={one} day={view.day} records={records} units={units} />
          ))}
          {view.guests.map((one) => (
            <Guests key={`${one.placeId} ${one.chosen.predator}`} guests={one} day={view.day} records={records} />
          ))}
          {/* It comes after the rest: every plant is weighed for every mix. */}
          <Suspense
            fallback={
              <Panel title="One round now">
                <p className="mb-0">Working through every plant …</p>
              </Panel>
            }
          >
            <Worth worthOf={view.worthOf} units={units} />
          </Suspense>
        </div>
        <div className="col-lg-5">
          {records && (
            <>
              <Panel title="Start or change rounds">
                <BeginRounds
                  rounds={view.rounds.map(({ placeId, chosen }) => ({ placeId, chosen }))}
                  places={view.places}
                  hemisphere={context.collection.hemisphere}
                />
              </Panel>
              <Panel title="Predators as prevention">
                <BeginGuests places={view.places} />
              </Panel>
            </>
          )}
        </div>
      </div>
    </>
  );
}

/** What a round of each mix is worth. Between two mixes others get their turn. */
async function Worth({ worthOf, units }: Pick<PreventionView, "worthOf"> & { units: Units }) {
  const worth: ({ readonly mix: RoundMixId } & ReturnType<PreventionView["worthOf"]>)[] = [];
  for (const mix of roundMixes) {
    await setImmediate();
    worth.push({ mix, ...worthOf(mix) });
  }
  const saved = (n: number) => (n < 0.005 ? "0" : n < 1 ? n.toFixed(2) : n.toFixed(1));
  return (
    <Panel title="One round now">
      <div className="table-responsive" tabIndex={0} role="region" aria-label="What a round is worth">
        <table className="table table-sm mb-0">
          <thead>
            <tr>
              <th scope="col">Spray with</th>
              <th scope="col">On</th>
              <th scope="col" className="text-end">
                Plants saved
              </th>
              <th scope="col" className="text-end">
                Work
              </th>
              <th scope="col" className="text-end">
                Mix
              </th>
              <th scope="col" className="text-end">
                Need care
              </th>
            </tr>
          </thead>
          <tbody>
            {worth.flatMap(({ mix, all, prone }) =>
              [["all", all] as const, ["prone", prone] as const].map(([who, worth]) => (
                <tr key={`${mix} ${who}`}>
                  <td>{who === "all" ? mixNames[mix] : ""}</td>
                  <td className="text-nowrap">
                    {who}, {worth.plants}
                  </td>
                  <td className="text-end">{saved(worth.saved)}</td>
                  <td className="text-end text-nowrap">{hoursInWords(Math.round(worth.minutes))}</td>
                  <td className="text-end text-nowrap">{volumeIn(worth.volumeMl, units)}</td>
                  <td className="text-end">{worth.withCare}</td>
                </tr>
              )),
            )}
            <tr>
              <td>Nothing</td>
              <td>none</td>
              <td className="text-end">0</td>
              <td className="text-end">0</td>
              <td className="text-end">0</td>
              <td className="text-end">0</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p className="small mt-2 mb-0">
        Plants saved: cases it is expected to prevent, including those that would catch it within four weeks. Our own
        rough estimates. Plants in flower, in a case, resting dry, with predators at work, or that do not tolerate it
        are left out.
      </p>
    </Panel>
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
