import type { Metadata } from "next";
import Link from "next/link";
import { Strike } from "@/app/_parts/Strike";
import { isApart } from "@/core/facts/records";
import { Flower } from "@/ui/mark/Flower";
import { Panel } from "@/ui/Panel";
import { RecordLine } from "@/ui/record/RecordLine";
import { recordEntries } from "@/ui/record/entries";
import { dayInWords, dayAndYear, fromToday } from "@/wording/dates";
import { growthFormNames, pestNames, sensitivityNames } from "@/wording/names";
import { stateInWords } from "@/wording/states";
import { AddPhoto } from "./_parts/AddPhoto";
import { ArchiveButton } from "./_parts/ArchiveButton";
import { Photos } from "./_parts/Photos";
import { plantOf } from "./_parts/plantOf";

export const metadata: Metadata = { title: "Plant" };

export default async function PlantPage({ params }: { params: Promise<{ id: string }> }) {
  const { view, today } = await plantOf(params);
  const { plant, card, place } = view;
  const open = view.cases.filter((one) => one.open);
  const apart = isApart(place.kind);
  const lastLook = view.looks.findLast((look) => look.voidReason === null);
  const atRisk = card.state === "atRisk" ? view.exposures.at(-1) : undefined;
  return (
    <>
      <div className="d-flex flex-wrap gap-3 align-items-center mb-3">
        <Flower state={card.state} petals={card.petals} apart={card.apart} size="large" silent />
        <div className="plant-line-text">
          <p className="mb-0 text-body-secondary">{plant.code}</p>
          <h1 className="mb-0">{plant.name}</h1>
          <p className="mb-0 fs-5">
            {stateInWords(card.state, card.petals, card.apart)}
            {plant.archived && ", archived"}
          </p>
        </div>
        {!plant.archived && (
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
          <Panel title="What to do next">
            <ul className="mb-0 ps-3">
              {card.state === "infested" && !apart && (
                <li className="fw-semibold">Set it apart now, before treating.</li>
              )}
              {open.map((one) => {
                const planned = view.plans.some((plan) => plan.caseId === one.id && plan.voidReason === null);
                return (
                  <li key={one.id}>
                    <Link href={`/cases/${one.id}`}>{pestNames[one.pest]}</Link>
                    {planned ? ": treat as planned." : ": make a plan."}
                  </li>
                );
              })}
              <li>
                {card.lookDueOn < today ? "A look was due" : "The next look is due"} {fromToday(card.lookDueOn, today)},{" "}
                {dayInWords(card.lookDueOn)}.
              </li>
              {atRisk && (
                <li>
                  It stood by <Link href={`/plants/${atRisk.sourcePlantId}`}>{atRisk.sourceCode}</Link> when{" "}
                  {pestNames[atRisk.pest].toLowerCase()} were found: two clean looks, six days apart, take the risk
                  away.
                </li>
              )}
            </ul>
          </Panel>
          <Panel title="The plant">
            <dl className="row mb-0">
              <dt className="col-5">Place</dt>
              <dd className="col-7">
                {place.name}, {place.meanC} °C
              </dd>
              <dt className="col-5">Growth form</dt>
              <dd className="col-7">{growthFormNames[plant.growthForm]}</dd>
              <dt className="col-5">Genus</dt>
              <dd className="col-7">{plant.genus || "not given"}</dd>
              <dt className="col-5">Pot</dt>
              <dd className="col-7">{plant.potCm} cm</dd>
              <dt className="col-5">Acquired</dt>
              <dd className="col-7">{plant.acquiredOn ? dayAndYear(plant.acquiredOn) : "not given"}</dd>
              <dt className="col-5">Seller</dt>
              <dd className="col-7">{plant.seller || "not given"}</dd>
              {view.sensitivities.length > 0 && (
                <>
                  <dt className="col-5">Take care</dt>
                  <dd className="col-7">{view.sensitivities.map((s) => sensitivityNames[s]).join("; ")}</dd>
                </>
              )}
            </dl>
            <ArchiveButton plantId={plant.id} archived={plant.archived} />
          </Panel>
          {lastLook && (
            <Panel title="Photos">
              <AddPhoto lookId={lastLook.id} day={dayInWords(lastLook.day)} />
              <Photos photos={view.photos} looks={view.looks} />
            </Panel>
          )}
        </div>
        <div className="col-lg-7">
          <Panel title="Record">
            <RecordLine entries={recordEntries(view)} strike={(entry) => <Strike entry={entry} />} />
          </Panel>
        </div>
      </div>
    </>
  );
}
