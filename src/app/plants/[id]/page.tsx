import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { Strike } from "@/app/_parts/Strike";
import { actPreviewOf } from "@/core/advice/aftercare/actPreview";
import { atRiskSince } from "@/core/schedule/programmes/watch";
import { standing } from "@/core/record/facts/facts";
import { AsOf } from "@/app/_parts/AsOf";
import { Flower } from "@/ui/mark/Flower";
import { Panel } from "@/ui/Panel";
import { PhoneFold } from "@/ui/PhoneFold";
import { RecordLine } from "@/ui/record/RecordLine";
import { recordEntries } from "@/ui/record/entries";
import { readTolerance } from "@/operations/plants/queries/readTolerance";
import { cachedBeside } from "@/app/_parts/server/pageCache";
import { aheadNames } from "@/wording/advice/actPreview";
import { dayInWords } from "@/wording/dates";
import { stateInWords } from "@/wording/names/states";
import { AboutPlant } from "./_parts/AboutPlant";
import { AddPhoto } from "./_parts/AddPhoto";
import { Arriving } from "./_parts/Arriving";
import { Carries } from "./_parts/Carries";
import { Photos } from "./_parts/Photos";
import { plantOf } from "./_parts/plantOf";
import { WhatNext } from "./_parts/WhatNext";

export const metadata: Metadata = { title: "Plant" };

export default async function PlantPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, today } = await plantOf(params);
  const { plant, card, record } = view;
  const { units } = context.collection;
  const archived = plant.archivedAt !== null;
  const { apart } = card;
  const lastLook = standing(record.inspections).at(-1);
  const borne = await cachedBeside(`${context.collection.id} borne ${plant.genus}`, () =>
    readTolerance(context, plant.genus),
  );
  const ahead = actPreviewOf(record.acts, today);
  const facts = {
    look: record.looks,
    act: record.acts,
    placement: record.placements,
    programme: record.programmes,
    closing: record.closings,
    reaction: record.reactions,
    skip: view.skips,
    trapCount: view.counts,
  };
  return (
    <>
      <AsOf />
      <div className="d-flex flex-wrap gap-3 align-items-center mb-3">
        {!archived && <Flower state={card.state} petals={card.petals} apart={card.apart} size="large" silent />}
        <div className="plant-line-text">
          <p className="mb-0 text-body-secondary">{plant.code}</p>
          <h1 className="mb-0">{plant.name}</h1>
          <p className="mb-0 fs-5">{archived ? "archived" : stateInWords(card.state, card.petals, card.apart, card)}</p>
        </div>
        {!archived && (
          <div className="d-flex flex-wrap gap-2">
            <Link className="btn btn-primary" href={`/plants/${plant.id}/look`}>
              Look
            </Link>
            <Link className="btn btn-outline-primary" href={`/plants/${plant.id}/name`}>
              Name a pest
            </Link>
            {!apart && (
              <Link
                className={`btn ${card.state === "infested" ? "btn-danger" : "btn-outline-primary"}`}
                href={`/plants/${plant.id}/apart`}
              >
                Set apart
              </Link>
            )}
            <Link className="btn btn-outline-primary" href={`/plants/${plant.id}/act`}>
              Record a treatment
            </Link>
            <Link className="btn btn-outline-primary" href={`/plants/${plant.id}/move`}>
              {apart ? "Bring back" : "Move"}
            </Link>
            <Link className="btn btn-outline-primary" href={`/plants/${plant.id}/edit`}>
              Edit
            </Link>
          </div>
        )}
      </div>
      <div className="row gx-3">
        <div className="col-lg-5 order-lg-2">
          <WhatNext view={view} today={today} />
          {!archived && ahead.length > 0 && (
            <Panel title="What follows from your treatments">
              <ol className="ahead mb-0">
                {ahead.map(({ what, on }) => (
                  <li key={what}>
                    <span className="ahead-day">{dayInWords(on)}</span> {aheadNames[what]}
                  </li>
                ))}
              </ol>
            </Panel>
          )}
          {view.arriving && !archived && <Arriving plantId={plant.id} steps={view.arriving} carries={view.carries} />}
          {!archived && (
            <Carries
              plantId={plant.id}
              carries={view.carries}
              apart={apart && view.arriving === null}
              byHand={atRiskSince(record)}
              limit={context.collection.riskPercent / 100}
            />
          )}
          <AboutPlant view={view} borne={borne} today={today} units={units} />
          {lastLook && (
            <Panel title="Photos">
              <PhoneFold summary="Add a photo">
                <AddPhoto lookId={lastLook.id} day={dayInWords(lastLook.day)} about={`${plant.code} ${plant.name}`} />
              </PhoneFold>
              <p className="mb-0">
                <Link href={`/plants/${plant.id}/photos`}>Then and now: the same leaf again</Link>
              </p>
              <Photos photos={view.photos} looks={record.looks} />
            </Panel>
          )}
        </div>
        <div className="col-lg-7">
          <Panel title="Record">
            <RecordLine
              entries={recordEntries("plant", facts, { places: view.places, units })}
              strike={(entry) => <Strike entry={entry} />}
            />
          </Panel>
        </div>
      </div>
    </>
  );
}
