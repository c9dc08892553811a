import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/context";
import { today } from "@/operations/context";
import { readDecision } from "@/operations/readDecision";
import { pestNames } from "@/wording/names";
import { Deciding } from "../_parts/Deciding";

export const metadata: Metadata = { title: "First decision" };

export default async function DecisionPage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const read = await readDecision(context, (await params).id);
  if (!read) notFound();
  const { view, neighbours, warmOutside } = read;
  const { plant, place, found } = view;
  const { touching, place: beside, room } = neighbours;
  return (
    <>
      <h1>
        What first? {plant.code} {plant.name}: {pestNames[found.pest].toLowerCase()}
      </h1>
      <p>
        Beside it stand {touching + beside} plants at {place.name} and {room} more in the room. Each way is reckoned
        until it may be called clear.
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
          It cannot be reckoned:{" "}
          {place.meanC === null ? "nothing is known of the warmth there. " : "look again first. "}
          <Link href={`/cases/${found.id}`}>Back to the case</Link>
        </p>
      )}
    </>
  );
}
