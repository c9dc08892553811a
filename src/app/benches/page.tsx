import type { Metadata } from "next";
import Link from "next/link";
import { readBenches, type Bench } from "@/operations/readBenches";
import { AsOf } from "@/ui/AsOf";
import { warmthInWords } from "@/wording/warmth";
import { currentContext } from "../_parts/context";
import { kept } from "../_parts/kept";
import { Benches } from "./_parts/Benches";
import { packPlants, type PackedRow, type ShelfPlant } from "./_parts/shelves";

export const metadata: Metadata = { title: "Benches" };

const shown = ({ id, code, name, state, petals, apart, growthForm, carries }: Bench["plants"][number]): ShelfPlant => ({
  ...{ id, code, name, state, petals, apart },
  form: growthForm,
  // Four digits are more than anyone sees, and thousands of plants travel.
  carries: carries === null ? null : Math.round(carries * 1e4) / 1e4,
});

function told({ place, plants }: Bench): string {
  const count = plants.length === 1 ? "1 plant" : `${plants.length} plants`;
  const room = place.roomFor === null || place.kind === "bag" ? "" : `, room for ${place.roomFor}`;
  return `${warmthInWords(place.meanC)}, ${count}${room}${place.doorShut ? ", door shut" : ""}`;
}

export default async function BenchesPage() {
  const context = await currentContext();
  const { view: rooms, asOf } = await kept(`${context.collection.id} benches`, () => readBenches(context));
  const rows = rooms.flatMap(({ place: room, benches }): PackedRow[] => [
    { kind: "room", id: `room ${room.id}`, name: room.name },
    ...benches
      .filter(({ place, plants }) => place.id !== room.id || plants.length > 0 || benches.length === 1)
      .map((bench): PackedRow => {
        const { place, photoId, plants } = bench;
        const { id, name, kind } = place;
        return {
          kind: "shelf",
          id,
          shelf: {
            ...{ id, name, kind, photoId, told: told(bench) },
            ...{ count: plants.length, plants: packPlants(plants.map(shown)) },
          },
        };
      }),
  ]);
  return (
    <>
      <AsOf at={asOf} timeZone={context.collection.timeZone} />
      <div className="d-flex flex-wrap gap-2 align-items-center mb-3">
        <h1 className="me-auto mb-0">Benches</h1>
        <Link className="btn btn-primary" href="/plants/new">
          Add a plant
        </Link>
        <Link className="btn btn-outline-primary" href="/plants/several">
          Add several
        </Link>
        <Link className="btn btn-outline-primary" href="/benches/places/new">
          Add a place
        </Link>
      </div>
      <Benches rows={rows} limit={context.collection.riskPercent / 100} />
    </>
  );
}
