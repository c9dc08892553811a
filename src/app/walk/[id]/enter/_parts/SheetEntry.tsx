"use client";

import { Link } from "@/ui/Link";
import { useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { priorsFor } from "@/core/advice/diagnosis/priors";
import { placesOfRound } from "@/core/advice/walks/places";
import type { Stop, WalkView } from "@/operations/walks/queries/readWalk";
import { useCollection } from "@/ui/shell/Collection";
import { instantOf, wallTimeIn, withOffset } from "@/zones";
import { useWalk } from "../../../_parts/useWalk";
import { FindFlow } from "../../../_parts/FindFlow";

/** What was ticked on paper, in the same order: one press per clean plant, a find as on the walk itself. */
export function SheetEntry({ view, nowMoment }: { view: WalkView; nowMoment: string }) {
  const walk = useWalk(view);
  const { timeZone } = useCollection();
  const [walkedAt, setWalkedAt] = useState(() => wallTimeIn(new Date(nowMoment), timeZone));
  const at = withOffset(instantOf(walkedAt, timeZone), timeZone);
  const [finding, setFinding] = useState<Stop | null>(null);
  const { toGo, done } = walk.progress;
  const last = done.at(-1);
  const places = new Map(view.places.map((place) => [place.id, place]));
  const effort = (stop: Stop) => {
    const priors = priorsFor(stop.circumstances);
    const round = view.walk.round === "own" ? "likely" : view.walk.round;
    const spots = placesOfRound(stop.growthForm, priors, round);
    return { tool: view.walk.tool, spots, turned: true, note: "", at };
  };
  if (finding)
    return (
      <FindFlow
        stop={finding}
        onBack={() => setFinding(null)}
        onNothing={(naming) => {
          walk.look(finding, { ...effort(finding), finds: [], naming });
          setFinding(null);
        }}
        onFound={(finds, naming) => {
          const where = finds.flatMap((find) => find.spots ?? []);
          const spots = [...new Set([...effort(finding).spots, ...where])];
          walk.look(finding, { ...effort(finding), spots, finds, naming });
          setFinding(null);
        }}
      />
    );
  return (
    <>
      <Form.Label htmlFor="walked-at" className="fw-semibold mb-1">
        When you walked
      </Form.Label>
      <Form.Control
        id="walked-at"
        type="datetime-local"
        className="mb-3"
        value={walkedAt}
        onChange={(event) => setWalkedAt(event.target.value || walkedAt)}
      />
      <p role="status">
        {done.length} of {view.stops.length} entered.{" "}
        {last && (
          <Button size="sm" variant="outline-primary" onClick={() => walk.takeBack(last.event)}>
            Undo {last.plant.code}
          </Button>
        )}
      </p>
      <ul className="list-group mb-3">
        {toGo.map((stop) => (
          <li key={stop.id} className="list-group-item d-flex gap-2 align-items-center">
            <span className="flex-grow-1">
              <strong>
                {stop.code} {stop.name}
              </strong>
              <span className="small d-block">{places.get(stop.placeId)?.name}</span>
            </span>
            <Button
              aria-label={`${stop.code} clean`}
              onClick={() => walk.look(stop, { ...effort(stop), finds: [], naming: null })}
            >
              Clean
            </Button>
            <Button variant="outline-danger" aria-label={`${stop.code} found`} onClick={() => setFinding(stop)}>
              Found
            </Button>
          </li>
        ))}
      </ul>
      {toGo.length === 0 && <p className="fs-5">Everything on the sheet is entered.</p>}
      <div className="d-flex gap-2">
        <Button variant={toGo.length === 0 ? "primary" : "outline-primary"} onClick={walk.end}>
          Finish the walk
        </Button>
        <Link className="btn btn-outline-primary" href="/walk">
          To Walk
        </Link>
      </div>
    </>
  );
}
