"use client";

import { proxy } from "comlink";
import Link from "next/link";
import { useState } from "react";
import type { DecisionQuestion } from "@/core/case/ask";
import type { CaseFileInput } from "@/core/format/schema";
import type { FirstWay } from "@/core/planning/decision";
import { worths, type Worth } from "@/core/plants/worth";
import { Panel } from "@/ui/Panel";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { Reckoning } from "@/ui/reckoner/Reckoning";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { expectedCount, percent } from "@/wording/chances";
import { closedSentences, firstWayNames, firstWayTells, proposalSentence } from "@/wording/decision";
import { worthNames } from "@/wording/worth";

interface Props {
  caseId: string;
  plantId: string;
  worth: Worth;
  /** Whether it stands apart already. */
  isApart: boolean;
  file: CaseFileInput;
  question: Omit<DecisionQuestion, "worth">;
}

/** The ways side by side, the one that costs least first, each with the press that begins it. */
export function Deciding({ caseId, plantId, worth: begin, isApart, file, question }: Props) {
  const [worth, setWorth] = useState(begin);
  const [apart, setApart] = useState(!isApart);
  const [share, setShare] = useState(0);
  const reckoner = useReckoner();
  const neighbours = apart ? {} : question.neighbours;
  const key = JSON.stringify([question, worth, apart]);
  const asked = useAnswer(
    reckoner,
    (remote) => remote.decide(file, { ...question, neighbours, worth }, proxy(setShare)),
    key,
  );
  const decision = asked.key === key ? asked.answer : null;
  const goes: Record<FirstWay, string> = {
    squash: `/plants/${plantId}/act`,
    programme: `/cases/${caseId}/plan`,
    unpot: `/plants/${plantId}/unpot`,
    cutting: `/plants/${plantId}/cutting`,
    outdoors: `/plants/${plantId}/move`,
    giveUp: `/cases/${caseId}/close`,
  };
  return (
    <>
      <fieldset className="mb-3">
        <legend className="fs-6 fw-semibold mb-1">What the plant is worth to you</legend>
        <div className="d-flex flex-wrap gap-2">
          {worths.map((id) => (
            <button
              key={id}
              type="button"
              className={`btn ${worth === id ? "btn-primary" : "btn-outline-primary"}`}
              aria-pressed={worth === id}
              onClick={() => setWorth(id)}
            >
              {worthNames[id]}
            </button>
          ))}
        </div>
      </fieldset>
      {!isApart && (
        <fieldset className="mb-3">
          <legend className="fs-6 fw-semibold mb-1">Where it is meanwhile</legend>
          <div className="d-flex flex-wrap gap-2">
            {[true, false].map((is) => (
              <button
                key={String(is)}
                type="button"
                className={`btn ${apart === is ? "btn-primary" : "btn-outline-primary"}`}
                aria-pressed={apart === is}
                onClick={() => setApart(is)}
              >
                {is ? "Set apart today, door shut" : "Left where it stands"}
              </button>
            ))}
          </div>
        </fieldset>
      )}
      {asked.key === key && asked.failed && <NotReckoned again={asked.again} />}
      {!decision && !(asked.key === key && asked.failed) && <Reckoning share={share} />}
      {decision && (
        <>
          <p className="fs-5" role="status">
            {proposalSentence(decision)}
          </p>
          {!isApart && apart && decision.choices[0]?.way !== "giveUp" && (
            <p>
              <Link className="btn btn-danger" href={`/plants/${plantId}/apart`}>
                Set it apart first
              </Link>
            </p>
          )}
          <div className="row gx-3">
            {decision.choices.map((choice, i) => (
              <div key={choice.way} className="col-md-6 col-xl-4">
                <Panel title={firstWayNames[choice.way]} tone={i === 0 ? "proposed" : undefined}>
                  <p className="mb-2">{firstWayTells[choice.way]}</p>
                  <dl className="row mb-2">
                    <dt className="col-8">Over within 60 days</dt>
                    <dd className="col-4 text-end">{choice.way === "giveUp" ? "at once" : percent(choice.pOver)}</dd>
                    <dt className="col-8">Your time</dt>
                    <dd className="col-4 text-end">{hours(choice.minutes)}</dd>
                    {choice.volumeMl > 0 && (
                      <>
                        <dt className="col-8">Mix</dt>
                        <dd className="col-4 text-end">{(choice.volumeMl / 1000).toFixed(1)} L</dd>
                      </>
                    )}
                    <dt className="col-8">Plants that catch it meanwhile</dt>
                    <dd className="col-4 text-end">{expectedCount(choice.neighbours)}</dd>
                    <dt className="col-8">Lost of the plant by it</dt>
                    <dd className="col-4 text-end">{choice.harm === 1 ? "all" : percent(choice.harm)}</dd>
                  </dl>
                  <Link className={`btn btn-${i === 0 ? "" : "outline-"}primary`} href={goes[choice.way]}>
                    Go this way
                  </Link>
                </Panel>
              </div>
            ))}
          </div>
          {decision.closed.map(({ way, why }) => (
            <p key={way} className="mb-1">
              {firstWayNames[way]}: {closedSentences[why]}
            </p>
          ))}
          <details>
            <summary>How it is weighed</summary>
            <p className="mb-0">
              All is told in plants that can be replaced: a dear one counts 4, an irreplaceable one 20, an hour of work
              half a one, each plant beside it that catches the pest one. Where the pest is still there after sixty
              days, the plant counts as lost: it is given up then, or the work begins anew. These weights are ours; the
              chances come from the case.
            </p>
          </details>
        </>
      )}
    </>
  );
}

/** "25 min", "1 h 10 min". */
function hours(minutes: number): string {
  const whole = Math.round(minutes);
  if (whole < 60) return `${whole} min`;
  return whole % 60 === 0 ? `${whole / 60} h` : `${Math.floor(whole / 60)} h ${whole % 60} min`;
}
