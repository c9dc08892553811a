"use client";

import Link from "next/link";
import { useState } from "react";
import Alert from "react-bootstrap/Alert";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { v7 as uuidv7 } from "uuid";
import { outbox } from "@/app/_parts/outbox";
import type { RecordLook } from "@/core/facts/deeds";
import type { Stop, WalkView } from "@/operations/readWalk";
import { pestNames } from "@/wording/names";
import type { WalkInHand } from "../../_parts/useWalk";
import { ScreenHeading } from "./ScreenHeading";

const PHOTO_LIMIT_MB = 10;

/** What a find ends in: set apart where, who stood near, a plan. */
export function AfterFind({
  stop,
  lookId,
  finds,
  view,
  walk,
  onDone,
}: {
  stop: Stop;
  lookId: string;
  finds: RecordLook["finds"];
  view: WalkView;
  walk: WalkInHand;
  onDone: () => void;
}) {
  const [apart, setApart] = useState<string | null>(stop.apart ? "It stands apart already." : null);
  const [photo, setPhoto] = useState<{ readonly wrong: boolean; readonly text: string } | null>(null);
  const here = view.places.find((place) => place.id === stop.placeId);
  const near = (here?.codes ?? []).filter((code) => code !== stop.code);
  const isolation = view.places.filter((place) => place.kind === "isolation");
  const saved = walk.kept.waiting.length === 0;
  const put = (placeId: string | null, name: string) => {
    walk.setApart(stop, placeId);
    setApart(`Set apart: ${name}.`);
  };
  const choose = (file: File | undefined) => {
    if (!file) return;
    if (file.size > PHOTO_LIMIT_MB * 1024 * 1024)
      return setPhoto({ wrong: true, text: `This photo is larger than ${PHOTO_LIMIT_MB} MB. Choose a smaller one.` });
    outbox.add({ kind: "photo", input: { id: uuidv7(), lookId, photo: file } });
    setPhoto({ wrong: false, text: "The photo is kept with the find." });
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
          <p>Best is another room with the door shut. Do not brush it past the others.</p>
          <div className="d-grid gap-2 mb-3">
            {isolation.map((place) => (
              <Button key={place.id} className="big" onClick={() => put(place.id, place.name)}>
                {place.name}
              </Button>
            ))}
            <Button variant="outline-primary" className="big" onClick={() => put(null, "under a bag, where it stands")}>
              Under a bag, where it stands
            </Button>
            <Button
              variant="outline-primary"
              className="big"
              onClick={() =>
                setApart(
                  "It stays as an island: move the others away from it. It stays on Today until it is set apart.",
                )
              }
            >
              Too big to move
            </Button>
          </div>
        </>
      )}
      <h2>2. Who stood near</h2>
      <p>
        {near.length === 0
          ? "Nothing else stands at its place."
          : `At ${here?.name}: ${near.join(", ")}. They are at risk now: those still to come on this walk come after the clean ones. Look at each thoroughly; the cautious school treats them too, the other only looks.`}
      </p>
      <h2>3. A plan</h2>
      <p>
        {saved
          ? finds.map((find) => {
              const caseId = stop.openCases.find((one) => one.pest === find.pest)?.caseId ?? find.caseId;
              return (
                <Link key={find.id} className="btn btn-outline-primary me-2 mb-2" href={`/cases/${caseId}/plan`}>
                  Plan against {pestNames[find.pest].toLowerCase()}
                </Link>
              );
            })
          : "The plan can be made once the find has been sent."}
      </p>
      <p className="small">The walk stays open: go on with it afterwards from Walk. Unplanned finds stand on Today.</p>
      <Form.Label htmlFor="photo" className="fw-semibold mb-1">
        A photo, if you like
      </Form.Label>
      <Form.Control
        id="photo"
        type="file"
        accept="image/*"
        capture="environment"
        aria-describedby="photo-said"
        onChange={(event) => choose((event.target as HTMLInputElement).files?.[0])}
      />
      <p
        id="photo-said"
        role={photo?.wrong ? "alert" : "status"}
        className={photo?.wrong ? "text-danger-emphasis fw-semibold" : ""}
      >
        {photo?.text ?? "It is scaled down, and where it was taken is removed."}
      </p>
      <div className="sticky-press">
        <Button className="big w-100" onClick={onDone}>
          Go on with the walk
        </Button>
      </div>
    </section>
  );
}
