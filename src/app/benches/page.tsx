import type { Metadata } from "next";
import Link from "next/link";
import { readBenches } from "@/operations/readBenches";
import type { PlantCard } from "@/core/state/plantCard";
import { AsOf } from "@/ui/AsOf";
import { warmthInWords } from "@/wording/warmth";
import { currentContext } from "../_parts/context";
import { kept } from "../_parts/kept";
import { BenchRow, type BenchPlant } from "./_parts/BenchRow";

export const metadata: Metadata = { title: "Benches" };

/** So many plants are on the page when it arrives; more than any screen shows. */
const AT_ONCE = 300;

const shown = ({ id, code, name, state, petals, apart }: PlantCard): BenchPlant => ({
  id,
  code,
  name,
  state,
  petals,
  apart,
});

export default async function BenchesPage() {
  const context = await currentContext();
  const { view: rooms, asOf } = await kept(`${context.collection.id} benches`, () => readBenches(context));
  const counted = new Map<string, number>();
  let sum = 0;
  for (const { place, plants } of rooms.flatMap((room) => room.benches)) {
    counted.set(place.id, sum);
    sum += plants.length;
  }
  const before = (placeId: string) => counted.get(placeId) ?? 0;
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
      {rooms.map(({ place: room, benches }) => (
        <section key={room.id} className="mb-4" aria-labelledby={`room-${room.id}`}>
          <h2 id={`room-${room.id}`}>{room.name}</h2>
          {benches.map(({ place, plants }) => (
            <div key={place.id} className="mb-3">
              {(place.id !== room.id || plants.length > 0 || benches.length === 1) && (
                <p className="mb-1 small">
                  <Link href={`/benches/places/${place.id}`}>{place.name}</Link>, {warmthInWords(place.meanC)},{" "}
                  {plants.length === 1 ? "1 plant" : `${plants.length} plants`}
                </p>
              )}
              {plants.length > 0 && (
                <BenchRow plants={plants.map(shown)} when={before(place.id) < AT_ONCE ? "at once" : "after"} />
              )}
            </div>
          ))}
        </section>
      ))}
    </>
  );
}
