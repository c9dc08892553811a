import type { Metadata } from "next";
import { currentContext, markNow } from "@/app/_parts/context";
import { EndPress } from "@/app/_parts/EndPress";
import { Live } from "@/app/_parts/Live";
import { RoundPresses } from "@/app/_parts/RoundPresses";
import { may } from "@/core/access/roles";
import { cautionsOfAct } from "@/core/acts/acts";
import { groupBy } from "@/core/groupBy";
import { readPrevention, type GuestsView, type PreventionView } from "@/operations/readPrevention";
import { CautionList } from "@/ui/Cautions";
import { Panel } from "@/ui/Panel";
import { predatorNames } from "@/wording/acts";
import { millilitres } from "@/wording/amounts";
import { objectionSentences } from "@/wording/cautions";
import { dayInWords, fromToday, hoursInWords } from "@/wording/dates";
import { mixNames, techniqueNames } from "@/wording/names";
import { sparedNames } from "@/wording/rooms";
import { BeginGuests } from "./_parts/BeginGuests";
import { BeginRounds } from "./_parts/BeginRounds";
import { SachetPress } from "./_parts/SachetPress";

export const metadata: Metadata = { title: "Prevention" };

const plants = (n: number) => (n === 1 ? "one plant" : `${n} plants`);

/** Rounds of the whole collection, what they are worth, and predators let loose before anything is found. */
export default async function PreventionPage() {
  const context = await currentContext();
  const mark = await markNow(context);
  const view = await readPrevention(context);
  const records = may(context.role, "record");
  return (
    <>
      <Live mark={mark} />
      <h1>Prevention</h1>
      <p>
        Practitioners disagree whether everything is to be sprayed or only what is sick. This is what one round now
        would be worth, and what it takes; looks do most of the protecting.
      </p>
      <div className="row gx-3">
        <div className="col-lg-7">
          <Worth view={view} />
          {view.running && <Running running={view.running} day={view.day} records={records} />}
          {view.guests.map((one) => (
            <Guests key={`${one.placeId} ${one.chosen.predator}`} guests={one} day={view.day} records={records} />
          ))}
        </div>
        <div className="col-lg-5">
          {records && (
            <>
              <Panel title={view.running ? "The rounds you have chosen" : "Begin rounds"}>
                <BeginRounds running={view.running?.chosen ?? null} hemisphere={context.collection.hemisphere} />
              </Panel>
              <Panel title="Predators before anything is found">
                <BeginGuests places={view.places} />
              </Panel>
            </>
          )}
        </div>
      </div>
    </>
  );
}

function Worth({ view }: { view: PreventionView }) {
  const saved = (n: number) => (n < 0.005 ? "0" : n < 1 ? n.toFixed(2) : n.toFixed(1));
  return (
    <Panel title="One round now">
      <div className="table-responsive" tabIndex={0} role="region" aria-label="What a round is worth">
        <table className="table table-sm mb-0">
          <thead>
            <tr>
              <th scope="col">Sprayed with</th>
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
                With care
              </th>
            </tr>
          </thead>
          <tbody>
            {view.worth.flatMap(({ mix, all, prone }) =>
              [["all", all] as const, ["prone", prone] as const].map(([who, worth]) => (
                <tr key={`${mix} ${who}`}>
                  <td>{who === "all" ? mixNames[mix] : ""}</td>
                  <td className="text-nowrap">
                    {who}, {worth.plants}
                  </td>
                  <td className="text-end">{saved(worth.saved)}</td>
                  <td className="text-end text-nowrap">{hoursInWords(Math.round(worth.minutes))}</td>
                  <td className="text-end text-nowrap">{millilitres(worth.volumeMl)}</td>
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
        Plants saved: expected cases that it ends before they begin, with those that would have caught it from them in
        four weeks. Own estimates, and rough ones. Plants in flower, in a case, resting dry, with predators at work or
        that do not bear it are left out.
      </p>
    </Panel>
  );
}

function Running({
  running,
  day,
  records,
}: {
  running: NonNullable<PreventionView["running"]>;
  day: PreventionView["day"];
  records: boolean;
}) {
  const { chosen, tonight, due, next, spared, restingRisk } = running;
  const cautions = [...new Set(tonight.flatMap(({ act }) => cautionsOfAct(act)))];
  return (
    <Panel title="Rounds" tone={tonight.length > 0 ? "proposed" : undefined}>
      <p className="mb-2">
        {mixNames[chosen.mix]}, {techniqueNames[chosen.technique].toLowerCase()},{" "}
        {chosen.who === "all" ? "everyone" : "the prone kinds"}, every {chosen.everyDays} days.{" "}
        {due > 0
          ? `${plants(due)} due, ${tonight.length} fit tonight.`
          : next
            ? `Next ${dayInWords(next)}, ${fromToday(next, day)}.`
            : "Nobody has a turn."}
        {!running.inSeason && " Out of season now: nothing is due until it begins again."}
      </p>
      {cautions.length > 0 && <CautionList against={[]} cautions={cautions} />}
      {records && tonight.length > 0 && (
        <RoundPresses
          label="Sprayed"
          lines={tonight.map(({ plant, act, against }) => ({
            ...{ plantId: plant.id, code: plant.code, name: plant.name, acts: [act] },
            told:
              act.kind === "contact"
                ? [
                    // One that bears less has a can of its own.
                    ...(act.mix === chosen.mix ? [] : [mixNames[act.mix]]),
                    `about ${millilitres(act.volumeMl)}`,
                  ]
                : [],
            careful: [...new Set(against.map(({ code }) => objectionSentences[code]))],
          }))}
        />
      )}
      {spared.length > 0 && (
        <details className="mt-2">
          <summary>Spared: {spared.length}</summary>
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
          Of those that rest dry {restingRisk < 1 ? restingRisk.toFixed(2) : restingRisk.toFixed(1)} are expected to
          carry something meanwhile: look at them.
        </p>
      )}
      {records && (
        <div className="mt-2">
          <EndPress programme="prevention" placeId={null} clear={false} />
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
            ? "The sachets are to be renewed."
            : "They can be let loose now."
          : `${due.again ? "To be renewed" : "To be let loose"} ${dayInWords(due.on)}, ${fromToday(due.on, day)}.`}
        {due.freeFrom && ` Something was sprayed there: free for them from ${dayInWords(due.freeFrom)}.`}
      </p>
      {wouldSpray.length > 0 && (
        <p className="fw-semibold text-danger-emphasis">
          The rounds of prevention would spray {plants(wouldSpray.length)} here ({wouldSpray.slice(0, 8).join(", ")}):
          sprays kill them. While they live those plants are left out of the rounds.
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
