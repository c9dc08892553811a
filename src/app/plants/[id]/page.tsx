import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { genusIn } from "@/core/knowledge/plants/genusIn";
import { Strike } from "@/app/_parts/Strike";
import { actPreviewOf } from "@/core/advice/aftercare/actPreview";
import { unnamedOn } from "@/core/advice/unnamed/unnamed";
import { habitsOf } from "@/core/schedule/programmes/returns";
import { atRiskSince } from "@/core/schedule/programmes/watch";
import { standing } from "@/core/record/facts/facts";
import { AsOf } from "@/app/_parts/AsOf";
import { Flower } from "@/ui/mark/Flower";
import { Panel } from "@/ui/Panel";
import { PhoneFold } from "@/ui/PhoneFold";
import { RecordLine } from "@/ui/record/RecordLine";
import { recordEntries } from "@/ui/record/entries";
import { readTolerance } from "@/operations/plants/queries/readTolerance";
import { borneSentence } from "@/wording/advice/phytotoxicity";
import { cachedBeside } from "@/app/_parts/server/pageCache";
import { NotRead } from "@/ui/NotRead";
import { aheadNames } from "@/wording/advice/actPreview";
import { dayInWords, dayAndYear, fromToday } from "@/wording/dates";
import { growthFormNames, pestNames, sensitivityNames, sourceNames } from "@/wording/names/names";
import { programmeNames } from "@/wording/names/programmes";
import { habitSentence } from "@/wording/advice/seasons/seasons";
import { helpersSentence } from "@/wording/names/naturalEnemies";
import { stateInWords } from "@/wording/names/states";
import { warmthInWords } from "@/wording/names/warmth";
import { AddPhoto } from "./_parts/AddPhoto";
import { Arriving } from "./_parts/Arriving";
import { Carries } from "./_parts/Carries";
import { ArchiveButton } from "./_parts/ArchiveButton";
import { Photos } from "./_parts/Photos";
import { plantOf } from "./_parts/plantOf";
import { widthIn } from "@/wording/units";

export const metadata: Metadata = { title: "Plant" };

export default async function PlantPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, today } = await plantOf(params);
  const { plant, card, place, record, verdicts } = view;
  const { units } = context.collection;
  const archived = plant.archivedAt !== null;
  const { apart } = card;
  const lastLook = standing(record.inspections).at(-1);
  const atRisk = card.state === "atRisk";
  const beside = record.exposures.at(-1);
  const helpersInWords = view.on.bearer.helpers && helpersSentence(view.on.bearer.helpers, today);
  const open = unnamedOn(record.looks);
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
          <Panel title="What to do next">
            <ul className="mb-0 ps-3">
              {card.state === "infested" && !apart && (
                <li className="fw-semibold">Set it apart now, before treating.</li>
              )}
              {open && (
                <li className="fw-semibold">
                  <Link href={`/plants/${plant.id}/unnamed`}>Signs not named yet</Link> since {dayInWords(open.since)}:
                  what to do until they are named.
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
                  It was called clear and is watched until {dayInWords(verdicts.guard.until)}: anything missed shows
                  within that time.
                </li>
              )}
              {habitsOf(record.cases).map((habit) => (
                <li key={habit.pest}>{habitSentence(habit)}</li>
              ))}
              {atRisk && (
                <li>
                  It is at risk: see below what it may carry
                  {beside && (
                    <>
                      ; it was next to <Link href={`/plants/${beside.sourcePlantId}`}>{beside.sourceCode}</Link> when{" "}
                      {pestNames[beside.pest].toLowerCase()} were found
                    </>
                  )}
                  .
                </li>
              )}
            </ul>
          </Panel>
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
          <Panel title="The plant">
            <dl className="row mb-0">
              <dt className="col-5">Place</dt>
              <dd className="col-7">
                <Link href={`/benches/places/${place.id}`}>{place.name}</Link>, {warmthInWords(place.meanC, units)}
              </dd>
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
            <PhoneFold summary="Its kind, pot and origin">
              <dl className="row mb-0">
                <dt className="col-5">Growth form</dt>
                <dd className="col-7">{growthFormNames[plant.growthForm]}</dd>
                <dt className="col-5">Genus</dt>
                <dd className="col-7">
                  {plant.genus || "not recorded"}
                  {genusIn(plant.genus)?.uncertain && " (we are not certain about this genus: test one leaf)"}
                </dd>
                <dt className="col-5">Pot</dt>
                <dd className="col-7">{widthIn(plant.potCm, units)}</dd>
                <dt className="col-5">Acquired</dt>
                <dd className="col-7">{plant.acquiredOn ? dayAndYear(plant.acquiredOn) : "not recorded"}</dd>
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
                    <dd className="col-7">{plant.seller || "not recorded"}</dd>
                  </>
                )}
                {view.cuttings.length > 0 && (
                  <>
                    <dt className="col-5">Cuttings from it</dt>
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
                    <dt className="col-5">Beneficials</dt>
                    <dd className="col-7">{helpersInWords}</dd>
                  </>
                )}
                {!borne && <NotRead what="How others of its kind reacted" />}
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
              </dl>
            </PhoneFold>
            {!archived && (
              <p className="mb-2">
                <Link href={`/plants/${plant.id}/cutting`}>Take a cutting</Link>
              </p>
            )}
            <p className="mb-2">
              <Link href={`/plants/${plant.id}/reaction`}>How it reacted to a treatment</Link>
            </p>
            <ArchiveButton plantId={plant.id} archived={archived} />
          </Panel>
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
