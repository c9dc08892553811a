"use client";

import { Link } from "@/ui/Link";
import Button from "react-bootstrap/Button";
import type { WalkView } from "@/operations/walks/queries/readWalk";
import type { WalkInHand } from "../../_parts/useWalk";
import { Only } from "@/ui/shell/Only";
import { ScreenHeading } from "../../_parts/ScreenHeading";

/** Nothing left to go to: what came of it. */
export function WalkEnd({ view, walk }: { view: WalkView; walk: WalkInHand }) {
  const { done } = walk.progress;
  const of = (kind: string) => done.filter(({ event }) => event.kind === kind);
  const [found, skipped] = [of("found"), of("skipped")];
  const ended =
    view.walk.endedAt !== null ||
    [...walk.kept.sent, ...walk.kept.held].some(
      ({ deed }) => deed.kind === "end" && deed.input.walkId === view.walk.id,
    );
  return (
    <section className="walk-body">
      <ScreenHeading>All plants done</ScreenHeading>
      <p className="fs-5">
        {of("clean").length} with nothing found, {found.length} with finds, {skipped.length} skipped.
      </p>
      {found.length > 0 && (
        <ul className="list-unstyled">
          {found.map(({ plant }) => (
            <li key={plant.id}>
              <Link href={`/plants/${plant.id}`}>
                {plant.code} {plant.name}
              </Link>
              : found
            </li>
          ))}
        </ul>
      )}
      {skipped.map(({ plant, event }) => (
        <div key={plant.id} className="d-flex gap-3 align-items-center mb-2">
          <span className="flex-grow-1">
            {plant.code} {plant.name} was skipped
          </span>
          <Button variant="outline-primary" onClick={() => walk.takeBack(event)}>
            Look at {plant.code} now
          </Button>
        </div>
      ))}
      {ended ? (
        <p className="fs-5">The walk is finished.</p>
      ) : (
        <Button className="big w-100 mb-3" onClick={walk.end}>
          Finish the walk
        </Button>
      )}
      <Only right="record">
        <p>
          <Link className="btn btn-outline-primary" href={`/session?who=walk&id=${view.walk.id}`}>
            Treat them now, all or some
          </Link>
        </p>
      </Only>
      <p>
        Clean your hands and tools, and the shelf where something was found. <Link href="/today">To Today</Link>
      </p>
    </section>
  );
}
