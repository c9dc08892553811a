import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { notFound } from "next/navigation";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { Live } from "@/app/_parts/Live";
import { momentNow } from "@/app/_parts/moments";
import { may } from "@/core/access/roles";
import { addDays, daysBetween } from "@/core/shared/days";
import { airOf } from "@/core/climate/vapour";
import { NEEM_STIFF_C, readClimate, type ClimateView } from "@/operations/climate/queries/readClimate";
import { Panel } from "@/ui/Panel";
import { dayInWords, momentInWords } from "@/wording/dates";
import { pestNames } from "@/wording/names/names";
import { airNames, daysAbout } from "@/wording/advice/seasons/seasons";
import { warmthInWords } from "@/wording/names/warmth";
import { wallTimeIn } from "@/zones";
import { ReadingForm } from "../../_parts/PlaceForms";
import { ImportReadings, MaxMin } from "./_parts/ImportReadings";
import { DropSensor, SensorForm } from "./_parts/SensorForm";
import { MonthTable } from "./_parts/MonthTable";
import { YearPicture } from "./_parts/YearPicture";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";
import { warmerBy, warmthIn, type Units } from "@/wording/units";

export const metadata: Metadata = { title: "Air" };

/** So far ahead a cold night of the year before is told of, days. */
const AHEAD_DAYS = 21;

/** The air of a place over a year, and what it does to pests. */
export default async function ClimatePage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const mark = await markNow(context);
  const { id } = await params;
  const view = await cachedView(context, `air ${id}`, () => readClimate(context, id));
  if (!view) notFound();
  const { place, day, days, lately, paces, sensors, from } = view;
  const { timeZone, units } = context.collection;
  const records = may(context.role, "record");
  const owns = may(context.role, "own");
  return (
    <>
      <Live mark={mark} />
      <p className="mb-0">
        <Link href={`/benches/places/${place.id}`}>{place.name}</Link>
      </p>
      <h1>Air</h1>
      <AsOf />
      <p className="fs-5">{latelyInWords(view, units)}</p>
      <div className="row gx-3">
        <div className="col-lg-8">
          {days.length > 0 ? (
            <Panel title="A year">
              {from && <p className="small">Measured at {from}, which it stands in.</p>}
              <YearPicture days={days} />
              <details>
                <summary>By month, as a table</summary>
                <MonthTable days={days} />
              </details>
            </Panel>
          ) : (
            <p>No readings here yet.</p>
          )}
          {lately && (
            <Panel title="How fast pests develop here now">
              <div className="table-responsive" tabIndex={0} role="region" aria-label="How fast pests develop here">
                <table className="table table-sm mb-0">
                  <thead>
                    <tr>
                      <th scope="col">Pest</th>
                      <th scope="col" className="text-end">
                        Doubles in, days
                      </th>
                      <th scope="col" className="text-end">
                        {warmerBy(3, units)} less
                      </th>
                      <th scope="col" className="text-end">
                        Egg to adult, days
                      </th>
                      <th scope="col" className="text-end">
                        Degree-days, 30 days
                      </th>
                    </tr>
                  </thead>
                  <tbody>
                    {paces.map(({ pest, doublingDays, cooler, toAdultDays, degreeDays }) => (
                      <tr key={pest}>
                        <th scope="row">{pestNames[pest]}</th>
                        <td className="text-end">
                          {doublingDays === null ? "does not grow" : daysAbout(doublingDays)}
                        </td>
                        <td className="text-end">{cooler === null ? "none" : daysAbout(cooler)}</td>
                        <td className="text-end">{toAdultDays === null ? "none" : daysAbout(toAdultDays)}</td>
                        <td className="text-end">{degreeDays === null ? "" : Math.round(degreeDays)}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
              <p className="small mt-2 mb-0">
                Left alone, on an open plant, at the average of the last two weeks; stage lengths from the literature,
                on the slow side. Degree-days by the sine method for each measured day.{" "}
                <Link href="/benches/climate">All places</Link>
              </p>
            </Panel>
          )}
        </div>
        <div className="col-lg-4">
          {sensors.map(({ id, name, address, heardAt, battery, problem }) => (
            <Panel key={id} title={name}>
              <p className="mb-2">
                {heardAt ? `Heard ${momentInWords(wallTimeIn(heardAt, timeZone))}.` : "Nothing heard yet."}
                {battery !== null &&
                  ` Battery ${Math.round(battery * 100)} %${battery < 0.15 ? ": change it soon" : ""}.`}
              </p>
              {problem && (
                <p className="fw-semibold text-danger-emphasis" role="note">
                  {sensorProblems[problem] ?? problem}
                </p>
              )}
              <p className="small text-break mb-2">{address}</p>
              {owns && <DropSensor id={id} />}
            </Panel>
          ))}
          {records && (
            <>
              <Panel title="Add a reading">
                <ReadingForm placeId={place.id} now={momentNow(context)} />
              </Panel>
              <Panel title="From a max–min thermometer">
                <MaxMin placeId={place.id} day={addDays(day, -1)} />
              </Panel>
              <Panel title="Import readings">
                <details>
                  <summary>Paste it, or choose a file</summary>
                  <ImportReadings placeId={place.id} />
                </details>
              </Panel>
            </>
          )}
          {owns && (
            <Panel title="Sensors">
              <details>
                <summary>Connect a sensor</summary>
                <SensorForm placeId={place.id} />
              </details>
            </Panel>
          )}
        </div>
      </div>
    </>
  );
}

const sensorProblems: Readonly<Record<string, string>> = {
  not_near: "It is not on this network: nothing outside it is contacted.",
  no_answer:
    "It does not answer. It is tried again every five minutes, and what it measured in the meantime is fetched then.",
  not_understood: "It answers in a format that is not understood. docs/devices.md says what is expected.",
};

/** What the air of the last weeks means, in sentences. */
function latelyInWords({ lately, paces, days, day, stiffFrom }: ClimateView, units: Units): string {
  if (!lately) return "Record how warm it is, import a table, or connect a sensor.";
  const mites = paces.find(({ pest }) => pest === "spiderMite");
  const air = lately.deficitKpa === null ? null : airOf(lately.deficitKpa);
  const parts = [
    `In the last two weeks ${warmthInWords(lately.meanC, units)} on average`,
    ...(lately.humidity === null ? [] : [`${Math.round(lately.humidity)} % humidity`]),
    ...(air === null ? [] : [`${airNames[air]} (a deficit of ${lately.deficitKpa!.toFixed(1)} kPa)`]),
  ];
  const sentences = [`${parts.join(", ")}.`];
  if (mites?.doublingDays) {
    const warm = air === "dry" ? "Dry and warm: mites" : "Mites";
    const less =
      mites.cooler === null
        ? `they would not grow at ${warmerBy(3, units)} less`
        : `${warmerBy(3, units)} less would make it ${daysAbout(mites.cooler)}`;
    sentences.push(`${warm} double in ${daysAbout(mites.doublingDays)} days here; ${less}.`);
  } else sentences.push("It is too cold for mites to develop.");
  const cold = days.slice(-7).findLast(({ minC }) => minC !== null && minC < NEEM_STIFF_C);
  if (cold)
    sentences.push(
      `It fell to ${warmthIn(cold.minC!, units, 0)} on ${dayInWords(cold.day)}: neem stiffens on the leaf below about ${warmthIn(NEEM_STIFF_C, units)}, and sprays do not dry.`,
    );
  else if (stiffFrom && daysBetween(day, stiffFrom) <= AHEAD_DAYS)
    sentences.push(
      `Nights were under ${warmthIn(NEEM_STIFF_C, units)} from ${dayInWords(stiffFrom)} on a year ago: then neem would stiffen on the leaf.`,
    );
  return sentences.join(" ");
}
