import type { Metadata } from "next";
import Link from "next/link";
import { genusIn } from "@/core/plants/genusIn";
import { Strike } from "@/app/_parts/Strike";
import { aheadOf } from "@/core/case/ahead";
import { unnamedOn } from "@/core/case/unnamed";
import { habitsOf } from "@/core/programmes/returns";
import { atRiskSince } from "@/core/programmes/watch";
import { standing } from "@/core/facts/facts";
import { AsOf } from "@/ui/AsOf";
import { Flower } from "@/ui/mark/Flower";
import { Panel } from "@/ui/Panel";
import { RecordLine } from "@/ui/record/RecordLine";
import { recordEntries } from "@/ui/record/entries";
import { readBorne } from "@/operations/readBorne";
import { borneSentence } from "@/wording/afterwards";
import { keptBeside } from "@/app/_parts/kept";
import { NotRead } from "@/ui/NotRead";
import { aheadNames } from "@/wording/ahead";
import { dayInWords, dayAndYear, fromToday } from "@/wording/dates";
import { growthFormNames, pestNames, sensitivityNames, sourceNames } from "@/wording/names";
import { programmeNames } from "@/wording/programmes";
import { habitSentence } from "@/wording/rooms";
import { helpersSentence } from "@/wording/helpers";
import { stateInWords } from "@/wording/states";
import { warmthInWords } from "@/wording/warmth";
import { AddPhoto } from "./_parts/AddPhoto";
import { Arriving } from "./_parts/Arriving";
import { Carries } from "./_parts/Carries";
import { ArchiveButton } from "./_parts/ArchiveButton";
import { Photos } from "./_parts/Photos";
import { plantOf } from "./_parts/plantOf";

export const metadata: Metadata = { title: "Plant" };

export default async function PlantPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, asOf, today } = await plantOf(params);
  const { plant, card, place, record, verdicts } = view;
  const archived = plant.archivedAt !== null;
  const { apart } = card;
  const lastLook = standing(record.inspections).at(-1);
  const atRisk = card.state === "atRisk";
  const beside = record.exposures.at(-1);
  const helpersInWords = view.on.bearer.helpers && helpersSentence(view.on.bearer.helpers, today);
  const open = unnamedOn(record.looks);
  const borne = await keptBeside(`${context.collection.id} borne ${plant.genus}`, () =>
    readBorne(context, plant.genus),
  );
  const ahead = aheadOf(record.acts, today);
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
      <AsOf at={asOf} timeZone={context.collection.timeZone} />
      <div className="d-flex flex-wrap gap-3 align-items-center mb-3">
        <Flower state={card.state} petals={card.petals} apart={card.apart} size="large" silent />
        <div className="plant-line-text">
          <p className="mb-0 text-body-secondary">{plant.code}</p>
          <h1 className="mb-0">{plant.name}</h1>
          <p className="mb-0 fs-5">
            {stateInWords(card.state, card.petals, card.apart, card)}
            {archived && ", archived"}
          </p>
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
              Write down an act
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
          <Panel title="What to do next">
            <ul className="mb-0 ps-3">
              {card.state === "infested" && !apart && (
                <li className="fw-semibold">Set it apart now, before treating.</li>
              )}
              {open && (
                <li className="fw-semibold">
                  <Link href={`/plants/${plant.id}/unnamed`}>Signs without a name</Link> since {dayInWords(open.since)}:
                  what to do until they have one.
                </li>
              )}
              {view.open.map(({ found, plan }) => (
                <li key={found.id}>
                  <Link href={`/cases/${found.id}`}>{pestNames[found.pest]}</Link>
                  {plan ? ": treat as planned." : ": make a plan."}
                </li>
              ))}
              <li>
                {card.lookDueOn < today ? "A look was due" : "The next look is due"} {fromToday(card.lookDueOn, today)},{" "}
                {dayInWords(card.lookDueOn)}: {programmeNames[card.lookDueFor]}.
              </li>
              {verdicts.guard.until && (
                <li>
                  It was called clear and is guarded until {dayInWords(verdicts.guard.until)}: what was missed shows
                  within that time.
                </li>
              )}
              {habitsOf(record.cases).map((habit) => (
                <li key={habit.pest}>{habitSentence(habit)}</li>
              ))}
              {atRisk && (
                <li>
                  It is at risk: what it may carry stands below
                  {beside && (
                    <>
                      ; it stood by <Link href={`/plants/${beside.sourcePlantId}`}>{beside.sourceCode}</Link> when{" "}
                      {pestNames[beside.pest].toLowerCase()} were found
                    </>
                  )}
                  .
                </li>
              )}
            </ul>
          </Panel>
          {!archived && ahead.length > 0 && (
            <Panel title="What follows from what was done">
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
          <Panel title="The plant">
            <dl className="row mb-0">
              <dt className="col-5">Place</dt>
              <dd className="col-7">
                <Link href={`/benches/places/${place.id}`}>{place.name}</Link>, {warmthInWords(place.meanC)}
              </dd>
              <dt className="col-5">Growth form</dt>
              <dd className="col-7">{growthFormNames[plant.growthForm]}</dd>
              <dt className="col-5">Genus</dt>
              <dd className="col-7">
                {plant.genus || "not given"}
                {genusIn(plant.genus)?.uncertain && " (the table is not certain of this kind: test one leaf)"}
              </dd>
              <dt className="col-5">Pot</dt>
              <dd className="col-7">{plant.potCm} cm</dd>
              <dt className="col-5">Acquired</dt>
              <dd className="col-7">{plant.acquiredOn ? dayAndYear(plant.acquiredOn) : "not given"}</dd>
              {view.mother ? (
                <>
                  <dt className="col-5">Cut from</dt>
                  <dd className="col-7">
                    <Link href={`/plants/${view.mother.id}`}>
                      {view.mother.code} {view.mother.name}
                    </Link>
                  </dd>
                </>
              ) : (
                <>
                  <dt className="col-5">Seller</dt>
                  <dd className="col-7">{plant.seller || "not given"}</dd>
                </>
              )}
              {view.cuttings.length > 0 && (
                <>
                  <dt className="col-5">Cut from it</dt>
                  <dd className="col-7">
                    <ul className="list-unstyled mb-0">
                      {view.cuttings.map(({ id, code, name }) => (
                        <li key={id}>
                          <Link href={`/plants/${id}`}>
                            {code} {name}
                          </Link>
                        </li>
                      ))}
                    </ul>
                  </dd>
                </>
              )}
              {helpersInWords && (
                <>
                  <dt className="col-5">Helpful animals</dt>
                  <dd className="col-7">{helpersInWords}</dd>
                </>
              )}
              {!borne && <NotRead what="What others of its kind have borne" />}
              {borne && borne.length > 0 && (
                <>
                  <dt className="col-5">Its kind here</dt>
                  <dd className="col-7">
                    <ul className="list-unstyled mb-0">
                      {borne.map((one) => (
                        <li key={one.mix}>{borneSentence(one)}</li>
                      ))}
                    </ul>
                  </dd>
                </>
              )}
              {view.sensitivities.length > 0 && (
                <>
                  <dt className="col-5">Take care</dt>
                  <dd className="col-7">
                    <ul className="list-unstyled mb-0">
                      {view.sensitivities.map(({ id, from }) => (
                        <li key={id}>
                          {sensitivityNames[id]} <span className="text-body-secondary">({sourceNames[from]})</span>
                        </li>
                      ))}
                    </ul>
                  </dd>
                </>
              )}
            </dl>
            {!archived && (
              <p className="mb-2">
                <Link href={`/plants/${plant.id}/cutting`}>Take a cutting</Link>
              </p>
            )}
            <p className="mb-2">
              <Link href={`/plants/${plant.id}/reaction`}>How it bore a treatment</Link>
            </p>
            <ArchiveButton plantId={plant.id} archived={archived} />
          </Panel>
          {lastLook && (
            <Panel title="Photos">
              <AddPhoto lookId={lastLook.id} day={dayInWords(lastLook.day)} about={`${plant.code} ${plant.name}`} />
              <Photos photos={view.photos} looks={record.looks} />
            </Panel>
          )}
        </div>
        <div className="col-lg-7">
          <Panel title="Record">
            <RecordLine
              entries={recordEntries("plant", facts, { places: view.places })}
              strike={(entry) => <Strike entry={entry} />}
            />
          </Panel>
        </div>
      </div>
    </>
  );
}
