import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { Strike } from "@/app/_parts/Strike";
import type { Day } from "@/core/shared/days";
import type { Plan } from "@/core/advice/plans/plans";
import { standing } from "@/core/record/facts/facts";
import { isOfRoom } from "@/core/knowledge/pests/pests";
import type { CaseView } from "@/operations/cases/queries/readCase";
import { AsOf } from "@/app/_parts/AsOf";
import { Flower } from "@/ui/mark/Flower";
import { Panel } from "@/ui/Panel";
import { RecordLine } from "@/ui/record/RecordLine";
import { recordEntries } from "@/ui/record/entries";
import { plannedInWords } from "@/wording/names/acts";
import { cleanLooksNeeded, notYetSentence } from "@/wording/advice/clearance/clearance";
import { dayCount, dayInWords } from "@/wording/dates";
import { outcomeNames, pestNames, schoolNames } from "@/wording/names/names";
import { outlookSentences, reachSentence, surenessSentence } from "@/wording/advice/clearance/judgement";
import { looksInWords } from "@/wording/advice/planning/planning";
import { hazardSentence, returnedSentence } from "@/wording/advice/seasons/seasons";
import { stateInWords } from "@/wording/names/states";
import { warmthInWords } from "@/wording/names/warmth";
import { CaseReckoned } from "./_parts/CaseReckoned";
import { comingDoses, lastDay, marksOf } from "./_parts/timeline";
import { caseOf } from "./_parts/caseOf";
import { Presses } from "./_parts/Presses";
import { Steps } from "@/app/_parts/Steps";
import { WhyStill } from "./_parts/WhyStill";

export const metadata: Metadata = { title: "Case" };

/** What a plan is done with, in the order in which it comes. */
function dosesOf(plan: Plan): string {
  const treatments = plan.steps.flatMap(({ dose }) => (dose ? [plannedInWords(dose)] : []));
  return [...new Set(treatments)].join("; then ");
}

/** Clean looks since it was found last. */
function cleanSince({ facts, found }: CaseView): number {
  const looks = standing(facts.looks);
  return looks.length - 1 - looks.findLastIndex((look) => look.finds.some(({ pest }) => pest === found.pest));
}

export default async function CasePage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, today } = await caseOf(params);
  const { units } = context.collection;
  const { found, plan, clearance, judged } = view;
  const { closing } = found;
  const judgement = judged?.judged.ok ? judged.judged.judgement : null;
  const unreckonable = judged && !judged.judged.ok ? judged.judged.problems : null;
  const outlook = judgement?.outlook ?? null;
  const { plant, card, place } = view;
  const facts = {
    look: view.facts.looks,
    act: view.facts.acts,
    programme: view.facts.programmes,
    closing: view.facts.closings,
  };
  return (
    <>
      <AsOf />
      <div className="d-flex flex-wrap gap-3 align-items-center mb-3">
        {!card.archived && <Flower state={card.state} petals={card.petals} apart={card.apart} size="large" silent />}
        <div className="plant-line-text">
          <p className="mb-0">
            <Link href={`/plants/${plant.id}`}>
              {plant.code} {plant.name}
            </Link>
          </p>
          <h1 className="mb-0">{pestNames[found.pest]}</h1>
          <p className="mb-0 fs-5">
            {closing
              ? `Closed on ${dayInWords(closing.day)}: ${outcomeNames[closing.outcome].toLowerCase()}`
              : stateInWords(card.state, card.petals, card.apart, card)}
          </p>
        </div>
        {found.open && <Presses view={view} />}
      </div>
      {judgement && (
        <p className="fs-5 mb-3">
          {surenessSentence(judgement)}
          {!judged!.current && " (From before the last change; being updated.)"}
        </p>
      )}
      {found.open && isOfRoom(found.pest) && (
        <p className="mb-3">
          Gnats concern the whole room: count cards and keep up the methods there, for all pots together.
        </p>
      )}
      {found.open && !judged && <p className="fs-5 mb-3">It is being worked out; come back in a moment.</p>}
      {unreckonable && (
        <Panel title="This case cannot be worked out">
          <ul className="ps-3">
            {unreckonable.map(({ path, message }) => (
              <li key={path + message}>
                {path && `${path}: `}
                {message}
              </li>
            ))}
          </ul>
          <p className="mb-0">
            Everything stays on record. If an entry below has a wrong date or number, strike it out and record it again.
          </p>
        </Panel>
      )}
      {found.open && view.returned && <p className="mb-3">{returnedSentence(view.returned)}</p>}
      {view.guardedUntil && (
        <p className="mb-3">
          Watched until {dayInWords(view.guardedUntil as Day)}: look weekly for a month, then every second week.
          {hazardSentence(view.hazard)}
        </p>
      )}
      <div className="row gx-3">
        <div className="col-lg-6">
          {outlook?.behind && plan && (
            <Panel title="The plan is behind schedule" tone="loud">
              <p className="mb-1">{outlookSentences(outlook, plan.promised, view.changed, found.pest).join(" ")}</p>
              {outlook.mended && (
                <p className="mb-2">
                  {outlook.mended.dates.length > 0
                    ? `Caught up, with the same remedy: ${outlook.mended.dates.map(dayInWords).join(", ")}; then ${looksInWords(outlook.mended)}.`
                    : `The least work from here is to look: ${looksInWords(outlook.mended)}.`}
                </p>
              )}
              <Link className="btn btn-primary" href={`/cases/${found.id}/plan`}>
                Catch up
              </Link>
            </Panel>
          )}
          {found.open && (
            <Panel title={clearance.met ? "This may be called clear" : "Not clear yet, because"}>
              {clearance.met ? (
                <p>
                  It is sure enough by everything done and seen, there were {cleanLooksNeeded}, since the last
                  treatment, and a whole generation has passed since the last live animal. You decide.
                </p>
              ) : (
                <ul className="ps-3">
                  {clearance.notYet.map((reason) => (
                    <li key={reason.code}>{notYetSentence(reason)}</li>
                  ))}
                </ul>
              )}
              <Link className={`btn btn-${clearance.met ? "" : "outline-"}primary`} href={`/cases/${found.id}/close`}>
                Close the case
              </Link>
              {found.pest === "mealybug" && (plant.inFlower || plant.inBud) && (
                <p className="mt-3 mb-0">
                  It is in bloom: that draws mealybugs back. Look at buds and spikes each time.
                </p>
              )}
              {judgement && reachSentence(judgement) && <p className="mt-3 mb-0">{reachSentence(judgement)}</p>}
              <p className="small text-body-secondary mt-3 mb-0">
                Judge by live animals and new growth only: scars and dead scale remain.{" "}
                {view.generationDays !== null &&
                  `At ${warmthInWords(place.meanC, units)} a generation takes about ${dayCount(view.generationDays)}.`}
              </p>
            </Panel>
          )}
          {view.file && view.founders !== null && !clearance.met && (
            <WhyStill
              folded={cleanSince(view) >= 2}
              file={view.file}
              founders={view.founders}
              caseId={found.id}
              plantId={plant.id}
            />
          )}
          <Panel title="Steps">
            {plan ? (
              <>
                <p>
                  {dosesOf(plan)}. {schoolNames[plan.basis]}.
                </p>
                <Steps plan={plan} today={today} open={found.open} />
                {outlook && !outlook.behind && (
                  <p className="mt-2 mb-0">
                    {outlookSentences(outlook, plan.promised, view.changed, found.pest).join(" ")}
                  </p>
                )}
              </>
            ) : (
              <p className="mb-0">No plan yet. One treatment never ends it: eggs and hidden animals survive.</p>
            )}
          </Panel>
        </div>
        <div className="col-lg-6">
          {view.file && (
            <CaseReckoned
              pest={found.pest}
              file={view.file}
              byOurs={judgement?.byOurs ?? null}
              on={view.on}
              coming={comingDoses(view)}
              marks={marksOf(view)}
              today={today}
              until={lastDay(view, today)}
              open={found.open}
              pClear={judgement?.assessment.pClear ?? null}
            />
          )}
          <Panel title="Record">
            <RecordLine
              entries={recordEntries("case", facts, { places: [place], units })}
              strike={(entry) => <Strike entry={entry} />}
            />
            {view.file && (
              <p className="small mt-3 mb-0">
                <a href={`/cases/${found.id}/file`} download>
                  Download this case
                </a>
                , in an open format that the wary command and other programs read.
              </p>
            )}
          </Panel>
        </div>
      </div>
    </>
  );
}
