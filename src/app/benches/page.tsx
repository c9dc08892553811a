import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { readBenches, type Bench } from "@/operations/places/queries/readBenches";
import { AsOf } from "@/app/_parts/AsOf";
import { cachedView } from "@/app/_parts/server/cachedView";
import { warmthInWords } from "@/wording/names/warmth";
import { lightNames } from "@/wording/names/places";
import { currentContext } from "../_parts/server/context";
import { Benches } from "./_parts/Benches";
import { packBench } from "./_parts/packBench";
import type { PackedRow } from "./_parts/shelves";
import { widthIn, type Units } from "@/wording/units";

export const metadata: Metadata = { title: "Benches" };

/** So many plants travel with the page; those of the shelves behind them come after it. */
const AT_FIRST = 300;

function summaryOf({ place, count: many }: Bench, units: Units): string {
  const light = place.light === null ? "" : `, ${lightNames[place.light]}`;
  const high = place.heightCm === null ? "" : `, ${widthIn(place.heightCm, units)} up`;
  const count = many === 1 ? "1 plant" : `${many} plants`;
  const room = place.roomFor === null || place.kind === "bag" ? "" : `, room for ${place.roomFor}`;
  return `${warmthInWords(place.meanC, units)}, ${count}${room}${light}${high}${place.doorShut ? ", door kept shut" : ""}`;
}

export default async function BenchesPage() {
  const context = await currentContext();
  const rooms = await cachedView(context, "benches", () => readBenches(context, AT_FIRST));
  const names = new Map(rooms.flatMap(({ benches }) => benches.map(({ place }) => [place.id, place.name])));
  const rows = rooms.flatMap(({ place: room, benches }): PackedRow[] => [
    { kind: "room", id: `room ${room.id}`, name: room.name },
    ...benches
      .filter(({ place, count }) => place.id !== room.id || count > 0 || benches.length === 1)
      .map((bench): PackedRow => {
        const { place, photoId, count, plants } = bench;
        const { id, name, kind, light, heightCm, dripsOn } = place;
        return {
          kind: "shelf",
          id,
          shelf: {
            ...{ id, name, kind, photoId, light, posted: heightCm !== null },
            ...{
              dripsOn: dripsOn && (names.get(dripsOn) ?? null),
              summary: summaryOf(bench, context.collection.units),
            },
            ...{ count, plants: packBench(plants) },
          },
        };
      }),
  ]);
  return (
    <>
      <AsOf />
      <div className="heading-presses mb-3">
        <h1 className="me-auto mb-0">Benches</h1>
        <div>
          <Link className="btn btn-primary" href="/plants/new">
            Add a plant
          </Link>
          <Link className="btn btn-outline-primary" href="/plants/several">
            Add several
          </Link>
          <Link className="btn btn-outline-primary" href="/benches/places/new">
            Add a place
          </Link>
          <Link className="btn btn-outline-primary" href="/benches/plan">
            Plan of the rooms
          </Link>
          <Link className="btn btn-outline-primary" href="/benches/replay">
            How it got here
          </Link>
          <Link className="btn btn-outline-primary" href="/benches/climate">
            Air and pest speed
          </Link>
        </div>
      </div>
      <Benches rows={rows} limit={context.collection.riskPercent / 100} />
    </>
  );
}
