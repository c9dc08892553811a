import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { AsOf } from "@/app/_parts/AsOf";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { cachedView } from "@/app/_parts/server/cachedView";
import { Live } from "@/app/_parts/Live";
import { today } from "@/operations/shared/context";
import { readPlaces } from "@/operations/places/queries/readPlaces";
import { readRooms } from "@/operations/seasons/queries/readRooms";
import { Panel } from "@/ui/Panel";
import { roomDueInWords, roomPath } from "@/wording/record/calendar";
import { dayInWords, fromToday } from "@/wording/dates";

export const metadata: Metadata = { title: "Year" };

/** So many weeks ahead are shown. */
const AHEAD_DAYS = 42;

const rooms = [
  ["/calendar", "Calendar", "Everything due and done, day by day; to print or add to other calendars."],
  ["/evening", "This evening", "What fits tonight, in which order, with which sprays."],
  ["/wintering", "In for winter", "Counted back from the move: inspected, rinsed, soaked, sprayed, step by step."],
  [
    "/prevention",
    "Rounds and predators",
    "Spraying before anything is found: what it is worth, and which plants are next.",
  ],
  ["/arrivals", "Arrivals", "New plants and those back from outdoors: how long they stay apart."],
  ["/benches/climate", "Where trouble is likely", "How fast each pest breeds at each place, by its air."],
] as const;

/** The year of the collection: what rooms and seasons ask for in the weeks to come, and where it is seen to. */
export default async function YearPage() {
  const context = await currentContext();
  const mark = await markNow(context);
  const [dues, places] = await Promise.all([
    cachedView(context, "year", () => readRooms(context, AHEAD_DAYS)),
    cachedView(context, "places", () => readPlaces(context)),
  ]);
  const day = today(context);
  return (
    <>
      <Live mark={mark} />
      <h1>Year</h1>
      <AsOf />
      <div className="row gx-3">
        <div className="col-lg-5 order-lg-2">
          <Panel title="The next six weeks" tone={dues.some(({ on }) => on <= day) ? "proposed" : undefined}>
            {dues.length === 0 ? (
              <p className="mb-0">Nothing seasonal is due. Looks and treatments are in the calendar.</p>
            ) : (
              <ul className="list-unstyled mb-0">
                {dues.map((due, i) => (
                  <li key={i} className={due.on <= day ? "fw-semibold mb-1" : "mb-1"}>
                    <Link href={roomPath(due)}>{roomDueInWords(due.what, due.placeName)}</Link>
                    <span className="d-block small">
                      {dayInWords(due.on)}, {fromToday(due.on, day)}
                    </span>
                  </li>
                ))}
              </ul>
            )}
          </Panel>
        </div>
        <div className="col-lg-7">
          <ul className="year-rooms">
            {rooms.map(([href, name, what]) => (
              <li key={href}>
                <Link href={href}>
                  <strong>{name}</strong>
                  <span>{what}</span>
                </Link>
              </li>
            ))}
          </ul>
          <Panel title="Gnats in this room">
            <div className="d-flex flex-wrap gap-2">
              {places
                .filter(({ kind }) => kind === "room" || kind === "cabinet")
                .map(({ id, name }) => (
                  <Link key={id} className="btn btn-outline-primary" href={`/benches/places/${id}/gnats`}>
                    {name}
                  </Link>
                ))}
            </div>
          </Panel>
        </div>
      </div>
    </>
  );
}
