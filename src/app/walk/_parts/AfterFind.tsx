"use client";

import { Link } from "@/ui/Link";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import { useOutbox } from "@/offline/useOutbox";
import { PhotoField } from "@/app/_parts/PhotoField";
import type { RecordLook } from "@/core/record/facts/kinds/look";
import type { Stop, WalkView } from "@/operations/walks/queries/readWalk";
import { pestNames } from "@/wording/names/names";
import { againstNames } from "@/wording/names/places";
import { ScreenHeading } from "./ScreenHeading";

/** What a find ends in: set apart where, who stood near, a plan. */
export function AfterFind({
  stop,
  lookId,
  finds,
  places,
  onApart,
  doneLabel,
  onDone,
}: {
  stop: Pick<Stop, "code" | "apart" | "placeId" | "openCases">;
  lookId: string;
  finds: RecordLook["finds"];
  places: WalkView["places"];
  /** An isolation place, or null for a bag. */
  onApart: (placeId: string | null) => void;
  doneLabel: string;
  onDone: () => void;
}) {
  const kept = useOutbox();
  const [apart, setApart] = useState<string | null>(stop.apart ? "It is already set apart." : null);
  const here = places.find((place) => place.id === stop.placeId);
  const near = (here?.codes ?? []).filter((code) => code !== stop.code);
  const isolation = places
    .flatMap((place) => (place.apart ? [{ ...place, ...place.apart }] : []))
    .toSorted((a, b) => a.rank - b.rank);
  const saved = !kept.held.some(({ deed }) => deed.kind === "look" && deed.input.id === lookId);
  const put = (placeId: string | null, name: string) => {
    onApart(placeId);
    setApart(`Set apart: ${name}.`);
  };
  return (
    <section className="walk-body">
      <ScreenHeading>
        {stop.code}: {finds.map((find) => pestNames[find.pest].toLowerCase()).join(" and ")}
      </ScreenHeading>
      <h2>1. Set it apart now, before treating</h2>
      {apart ? (
        <Alert variant="success">{apart}</Alert>
      ) : (
        <>
          <p>Best is another room with the door shut. Do not brush it against the others.</p>
          <div className="d-grid gap-2 mb-3">
            {isolation.map((place) => (
              <Button key={place.id} className="big" onClick={() => put(place.id, place.name)}>
                {place.name}
                {place.against.map((one) => (
                  <span key={one} className="d-block small">
                    {againstNames[one]}
                  </span>
                ))}
              </Button>
            ))}
            <Button variant="outline-primary" className="big" onClick={() => put(null, "under a bag, where it is")}>
              Under a bag, where it is
            </Button>
            <Button
              variant="outline-primary"
              className="big"
              onClick={() =>
                setApart(
                  "Leave it alone where it is: move the others away from it. It stays on Today until it is set apart.",
                )
              }
            >
              Too big to move
            </Button>
          </div>
        </>
      )}
      <h2>2. Who stood near it</h2>
      <p>
        {near.length === 0
          ? "Nothing else is at its place."
          : `At ${here?.name}: ${near.join(", ")}. They are at risk now, and on a walk they come after the clean ones. Look at each thoroughly; some growers treat them too, others only look.`}
      </p>
      <h2>3. What to do next</h2>
      <p>
        {saved
          ? finds.map((find) => {
              const caseId = stop.openCases.find((one) => one.pest === find.pest)?.caseId ?? find.caseId;
              return (
                <span key={find.id}>
                  <Link className="btn btn-outline-primary me-2 mb-2" href={`/cases/${caseId}/around`}>
                    Who else may have it {pestNames[find.pest].toLowerCase()}
                  </Link>
                  <Link className="btn btn-outline-primary me-2 mb-2" href={`/cases/${caseId}/plan`}>
                    Plan against {pestNames[find.pest].toLowerCase()}
                  </Link>
                </span>
              );
            })
          : "You can make the plan once the find has been sent."}
      </p>
      <p className="small">
        The walk stays open: continue it later from Walk. Finds without a plan are listed on Today.
      </p>
      <PhotoField lookId={lookId} label="Add a photo (optional)" about={stop.code} />
      <div className="sticky-press">
        <Button className="big w-100" onClick={onDone}>
          {doneLabel}
        </Button>
      </div>
    </section>
  );
}
