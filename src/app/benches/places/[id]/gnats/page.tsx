import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { notFound } from "next/navigation";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { Live } from "@/app/_parts/Live";
import { may } from "@/core/access/roles";
import { readGnatRoom } from "@/operations/seasons/queries/readGnatRoom";
import { Panel } from "@/ui/Panel";
import { percent } from "@/wording/advice/chances";
import { dayCount, dayInWords, fromToday } from "@/wording/dates";
import { hoursInWords } from "@/wording/dates";
import {
  aheadSentence,
  gnatVerdictSentence,
  gnatWayMeets,
  gnatWayNames,
  fliesInWords,
  shortWays,
} from "@/wording/advice/seasons/seasons";
import { warmthInWords } from "@/wording/names/warmth";
import { GnatPicture } from "./_parts/GnatPicture";
import { GnatTable } from "./_parts/GnatTable";
import { CountForm } from "./_parts/CountForm";
import { ChooseWays } from "./_parts/ChooseWays";
import { WayPress } from "./_parts/WayPress";
import { EndPress } from "@/app/_parts/EndPress";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";
import { warmthIn } from "@/wording/units";

export const metadata: Metadata = { title: "Gnats in the room" };

/** Pots that hold next to nothing of what is in the mixes are not listed, %. */
const LEAST_SHARE = 0.02;

/** A room of gnats: what the cards say, whether it works, what is due, and what each way would come to. */
export default async function GnatsPage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const mark = await markNow(context);
  const { id } = await params;
  const view = await cachedView(context, `gnats ${id}`, () => readGnatRoom(context, id));
  if (!view) notFound();
  const { place, day, judged, verdict, running, dues, counts, pots, packages, lifeDays } = view;
  const records = may(context.role, "record");
  const { units } = context.collection;
  const codes = pots.map(({ code }) => code);
  const chosen = new Set<string>(running?.chosen.ways);
  const isChosen = (ways: readonly string[]) => ways.length === chosen.size && ways.every((way) => chosen.has(way));
  const now = dues.filter(({ on }) => on <= day);
  const later = dues.filter(({ on }) => on > day);
  return (
    <>
      <Live mark={mark} />
      <p className="mb-0">
        <Link href={`/benches/places/${place.id}`}>{place.name}</Link>
      </p>
      <h1>Gnats in the room</h1>
      <AsOf />
      <p className="fs-5" aria-live="polite">
        {gnatVerdictSentence(verdict, verdictCodes(view))}
        {judged && ` ${aheadSentence(judged.weeks)} Today the chance that none is left is ${percent(judged.pOver)}.`}
        {view.ranOutOn &&
          ` The cards were used up on ${dayInWords(view.ranOutOn)}: hang new ones, or there is nothing to count.`}
      </p>
      <div className="row gx-3">
        <div className="col-lg-7">
          {judged && (
            <Panel title="On the cards, week by week">
              <GnatPicture view={view} />
              <details>
                <summary>The same as a table</summary>
                <GnatTable view={view} />
              </details>
              <p className="small mt-2 mb-0">
                Eight counts in ten fall inside the range. The rates are our own estimates; your counts correct them.
              </p>
            </Panel>
          )}
          <Panel title="Count">
            <CountForm
              placeId={place.id}
              pots={pots}
              hung={view.inForce.includes("cards")}
              lastOn={counts.findLast(({ what }) => what === "cards")?.day ?? null}
              day={day}
            />
            {view.cardPhotos.length > 0 && (
              <ul className="card-photos" aria-label="Cards that were counted">
                {view.cardPhotos.map(({ id: photoId, day: on, count }) => (
                  <li key={photoId}>
                    <a href={`/photos/${photoId}`}>
                      {/* Scaled down when it was kept, and served from this machine: nothing is left to optimise. */}
                      {/* eslint-disable-next-line @next/next/no-img-element */}
                      <img src={`/photos/${photoId}`} alt="" loading="lazy" />
                      {dayInWords(on)}: {fliesInWords(count)}
                    </a>
                  </li>
                ))}
              </ul>
            )}
          </Panel>
          {pots.some(({ share }) => share > 0) && (
            <Panel title="Where the larvae are likely to be">
              <ul className="list-unstyled mb-0">
                {pots
                  .filter(({ share }) => share >= LEAST_SHARE)
                  .slice(0, 8)
                  .map(({ plantId, code, name, share }) => (
                    <li key={plantId} className="d-flex gap-2 align-items-baseline">
                      <strong className="share-of">{percent(share)}</strong>
                      <Link href={`/plants/${plantId}`}>
                        {code} {name}
                      </Link>
                    </li>
                  ))}
              </ul>
              <p className="small mt-2 mb-0">
                Judged by how wide and how wet each pot is, and by what potato slices have shown.
              </p>
            </Panel>
          )}
        </div>
        <div className="col-lg-5">
          {running && (
            <Panel
              title={now.length > 0 ? "Due now" : "Nothing is due now"}
              tone={now.length > 0 ? "proposed" : undefined}
            >
              <ul className="list-unstyled mb-2">
                {now.map((due) => (
                  <li key={due.what === "way" ? due.way : due.what} className="evening-line flex-wrap">
                    <span className="flex-grow-1">
                      {due.what === "way"
                        ? `${gnatWayNames[due.way]}${due.again ? ", again" : ""}`
                        : due.what === "count"
                          ? "Count the flies on the cards"
                          : `Lay slices of potato on the wettest pots${codes[0] ? ` (${codes.slice(0, 2).join(", ")})` : ""}, count after 3–4 days`}
                      {due.on < day && `, since ${dayInWords(due.on)}`}
                    </span>
                    {due.what === "way" && records && <WayPress placeId={place.id} way={due.way} size={view.size} />}
                  </li>
                ))}
              </ul>
              {later.length > 0 && (
                <p className="mb-2">
                  Then{" "}
                  {later
                    .slice(0, 4)
                    .map((due) => `${due.what === "way" ? shortWays[due.way] : "count"} ${fromToday(due.on, day)}`)
                    .join("; ")}
                  .
                </p>
              )}
              {records && <EndPress programme="gnats" placeId={place.id} clear={verdict.code === "over"} />}
            </Panel>
          )}
          {packages.length > 0 && (
            <Panel title="What they would do together in eight weeks">
              <div className="table-responsive" tabIndex={0} role="region" aria-label="Combined">
                <table className="table table-sm mb-0">
                  <thead>
                    <tr>
                      <th scope="col">Methods</th>
                      <th scope="col" className="text-end">
                        Flies a week then
                      </th>
                      <th scope="col" className="text-end">
                        Over
                      </th>
                      <th scope="col" className="text-end">
                        Work
                      </th>
                    </tr>
                  </thead>
                  <tbody>
                    {packages.map(({ ways, pOver, week, minutes }) => (
                      <tr key={ways.join()}>
                        <td className={isChosen(ways) ? "fw-semibold" : undefined}>
                          {isChosen(ways) && "Yours: "}
                          {ways.map((way) => shortWays[way]).join(", ")}
                        </td>
                        <td className="text-end text-nowrap">
                          {Math.round(week.mean)} ({week.low}–{week.high})
                        </td>
                        <td className="text-end">{percent(pOver)}</td>
                        <td className="text-end text-nowrap">{hoursInWords(Math.round(minutes))}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            </Panel>
          )}
          {records && (
            <Panel title={running ? "The methods you chose" : "Start against them"}>
              <ChooseWays
                placeId={place.id}
                chosen={running?.chosen.ways ?? ["dryTop", "larvicide", "cards"]}
                running={running !== null}
                meets={gnatWayMeets}
              />
            </Panel>
          )}
          <Panel title="How they live">
            <p className="mb-0">
              {lifeDays === null
                ? "It is too cold here for them to develop."
                : `Here (${warmthInWords(view.meanC, units)}) it takes about ${dayCount(Math.round(lifeDays))} from egg to fly, and flies live for about a week. Many say four days, but that is the flies alone. What you do to flies shows at once; what you do to larvae shows after two to three weeks.`}
              {!view.known && ` No temperature is recorded here: ${warmthIn(22, units)} is taken.`}
            </p>
          </Panel>
        </div>
      </div>
    </>
  );
}

/** The codes of the room's pots in the order in which the verdict counts them. */
function verdictCodes({
  judged,
  pots,
  potOrder,
}: {
  judged: unknown;
  pots: readonly { plantId: string; code: string }[];
  potOrder: readonly string[];
}): string[] {
  return judged ? potOrder.map((id) => pots.find(({ plantId }) => plantId === id)?.code ?? "") : [];
}
