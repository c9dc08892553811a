import type { Metadata } from "next";
import Link from "next/link";
import { Strike } from "@/app/_parts/Strike";
import { Flower } from "@/ui/mark/Flower";
import { Panel } from "@/ui/Panel";
import { RecordLine } from "@/ui/record/RecordLine";
import { recordEntries } from "@/ui/record/entries";
import { notYetSentence } from "@/wording/clearance";
import { dayCount, dayInWords } from "@/wording/dates";
import { mixNames, outcomeNames, pestNames, schoolNames, techniqueNames } from "@/wording/names";
import { stateInWords } from "@/wording/states";
import { caseOf } from "./_parts/caseOf";
import { Steps } from "./_parts/Steps";

export const metadata: Metadata = { title: "Case" };

export default async function CasePage({ params }: { params: Promise<{ id: string }> }) {
  const { view, today } = await caseOf(params);
  const { found, plan, closing, clearance } = view;
  const { plant, card, place } = view.view;
  const next = plan === null ? "plan" : view.nextStep === null ? "look" : "treat";
  const facts = {
    placements: [],
    looks: view.looks,
    treatments: view.treatments,
    plans: view.view.plans.filter((p) => p.caseId === found.id),
    closings: view.view.closings.filter((c) => c.caseId === found.id),
    cases: [found],
  };
  return (
    <>
      <div className="d-flex flex-wrap gap-3 align-items-center mb-3">
        <Flower state={card.state} petals={card.petals} apart={card.apart} size="large" silent />
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
              : stateInWords(card.state, card.petals, card.apart)}
          </p>
        </div>
        {found.open && (
          <div className="d-flex flex-wrap gap-2">
            {plan && (
              <Link
                className={`btn btn-${next === "treat" ? "" : "outline-"}primary`}
                href={`/cases/${found.id}/treat`}
              >
                Treat
              </Link>
            )}
            <Link className={`btn btn-${next === "plan" ? "" : "outline-"}primary`} href={`/cases/${found.id}/plan`}>
              {plan ? "Change the plan" : "Make a plan"}
            </Link>
            <Link className={`btn btn-${next === "look" ? "" : "outline-"}primary`} href={`/plants/${plant.id}/look`}>
              Look
            </Link>
            {!card.apart && (
              <Link className="btn btn-danger" href={`/plants/${plant.id}/apart`}>
                Set apart
              </Link>
            )}
          </div>
        )}
      </div>
      <div className="row gx-3">
        <div className="col-lg-6">
          {found.open && (
            <Panel title={clearance.met ? "By the rule, this is clear" : "Not clear yet, because"}>
              {clearance.met ? (
                <p>
                  Two clean looks six days apart since the last treatment, and a whole generation since the last live
                  animal. You decide.
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
              <p className="small text-body-secondary mt-3 mb-0">
                Judged from live animals and new growth only: scars and dead scale stay.{" "}
                {view.generationDays !== null &&
                  `At ${place.meanC} °C a generation takes about ${dayCount(view.generationDays)}.`}
              </p>
            </Panel>
          )}
          <Panel title="Steps">
            {plan ? (
              <>
                <p>
                  {mixNames[plan.mix]}, {techniqueNames[plan.technique].toLowerCase()}. {schoolNames[plan.basis]}.
                </p>
                <Steps plan={plan} today={today} open={found.open} />
              </>
            ) : (
              <p className="mb-0">No plan yet. One treatment never ends it: eggs and hidden animals survive.</p>
            )}
          </Panel>
        </div>
        <div className="col-lg-6">
          <Panel title="Record">
            <RecordLine entries={recordEntries(facts)} strike={(entry) => <Strike entry={entry} />} />
          </Panel>
        </div>
      </div>
    </>
  );
}
