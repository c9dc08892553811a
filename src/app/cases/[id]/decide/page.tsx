import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { today } from "@/operations/shared/context";
import { readDecision } from "@/operations/cases/queries/readDecision";
import { pestNames } from "@/wording/names/names";
import { Deciding } from "../_parts/Deciding";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "First decision" };

export default async function DecisionPage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const { id } = await params;
  const read = await cachedView(context, `decision ${id}`, () => readDecision(context, id));
  if (!read) notFound();
  const { view, neighbours, warmOutside } = read;
  const { plant, place, found } = view;
  const { touching, place: beside, room } = neighbours;
  return (
    <>
      <h1>
        What first? {plant.code} {plant.name}: {pestNames[found.pest].toLowerCase()}
      </h1>
      <AsOf />
      <p>
        {standsWith(place.name, touching + beside, room)} Each option is worked out up to the day it may be called
        clear.
      </p>
      {view.file && place.meanC !== null ? (
        <Deciding
          caseId={found.id}
          plantId={plant.id}
          worth={plant.worth}
          isApart={view.card.apart}
          file={view.file}
          question={{
            ...{ first: today(context), workDays: context.collection.workDays },
            ...{ target: context.collection.clearPercent / 100, courses: view.courses, on: view.on },
            ...{ potCm: plant.potCm, neighbours: { touching, place: beside, room }, warmOutside },
          }}
        />
      ) : (
        <p>
          It cannot be worked out: {place.meanC === null ? "no temperature is recorded there. " : "look again first. "}
          <Link href={`/cases/${found.id}`}>Back to the case</Link>
        </p>
      )}
    </>
  );
}

/** Who stands with it, at its place and elsewhere in the room. */
function standsWith(place: string, there: number, room: number): string {
  if (there + room === 0) return "No other plant stands in the room.";
  const at = there === 0 ? `No other plant stands at ${place}` : `${plantsStand(there)} at ${place}`;
  return room === 0 ? `${at}.` : `${at}, ${room} more in the room.`;
}

const plantsStand = (n: number) => (n === 1 ? "One other plant stands" : `${n} other plants stand`);
