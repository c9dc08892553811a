"use client";

import { proxy } from "comlink";
import { Link } from "@/ui/Link";
import { useState, type CSSProperties, type ReactNode } from "react";
import type { DatedDecision, DecisionQuestion } from "@/core/advice/plans/ask";
import type { CaseFileInput } from "@/core/record/format/schema";
import type { FirstWay } from "@/core/advice/decision/decision";
import { plantValues, type PlantValue } from "@/core/knowledge/plants/plantValue";
import { Panel } from "@/ui/Panel";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { Reckoning } from "@/ui/reckoner/Reckoning";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { expectedCount, inTen, percent } from "@/wording/advice/chances";
import { hoursInWords, shortDay } from "@/wording/dates";
import { closedSentences, firstWayNames, firstWayTells, proposalSentence } from "@/wording/advice/clearance/decision";
import { worthNames } from "@/wording/names/plantValue";
import { useUnits } from "@/ui/shell/Collection";
import { volumeIn } from "@/wording/units";

interface Props {
  caseId: string;
  plantId: string;
  worth: PlantValue;
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
    blitz: `/cases/${caseId}/blitz`,
    unpot: `/plants/${plantId}/unpot`,
    cutting: `/plants/${plantId}/cutting`,
    outdoors: `/plants/${plantId}/move`,
    giveUp: `/cases/${caseId}/close`,
  };
  return (
    <>
      <fieldset className="mb-3">
        <legend className="fs-6 fw-semibold mb-1">How much the plant matters to you</legend>
        <div className="d-flex flex-wrap gap-2">
          {plantValues.map((id) => (
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
          <legend className="fs-6 fw-semibold mb-1">Where it stays meanwhile</legend>
          <div className="d-flex flex-wrap gap-2">
            {[true, false].map((is) => (
              <button
                key={String(is)}
                type="button"
                className={`btn ${apart === is ? "btn-primary" : "btn-outline-primary"}`}
                aria-pressed={apart === is}
                onClick={() => setApart(is)}
              >
                {is ? "Set apart today, door kept shut" : "Left where it is"}
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
                  <Figures of={choice} />
                  <Link className={`btn btn-${i === 0 ? "" : "outline-"}primary`} href={goes[choice.way]}>
                    Choose this
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
            <summary>How they are compared</summary>
            <p className="mb-0">
              Setting it apart comes first, whatever you choose. The rest is compared in replaceable plants: an hour of
              work until it may be called clear counts as half a plant, a neighbour that catches it as an hour and a
              half of work, and the plant itself by how likely the treatment or the pest costs you it; a treasured one
              counts 4, an irreplaceable one 20. Where looks are rarely clean the work starts again, so the time is
              divided by that chance. These weights are ours; the chances come from the case.
            </p>
          </details>
        </>
      )}
    </>
  );
}

/** What a way comes to; chances are drawn as well as told. */
function Figures({ of: choice }: { of: DatedDecision["choices"][number] }) {
  const units = useUnits();
  const { pClean, sure, clearOn, minutes, expectedMinutes, volumeMl, neighbours, harm, pLost, way } = choice;
  const whole = (min: number) => hoursInWords(Math.round(min));
  return (
    <dl className="figures">
      {way !== "giveUp" && (
        <>
          <Chance name="Chance of clean looks afterwards" share={pClean} tone="good">
            {inTen(pClean)}
          </Chance>
          <Figure name="How sure that makes it">
            {percent(sure)}, {shortDay(clearOn)}
          </Figure>
        </>
      )}
      <Chance name="Plant lost to the treatment" share={harm} tone="bad">
        {harm === 1 ? "all" : percent(harm)}
      </Chance>
      {pLost > 0 && (
        <Chance name="Plant lost to the pest" share={pLost} tone="bad">
          {percent(pLost)}
        </Chance>
      )}
      <Figure name="Plants that catch it meanwhile">{expectedCount(neighbours)}</Figure>
      <Figure name="Your time">{whole(minutes)}</Figure>
      {expectedMinutes > 1.2 * minutes && <Figure name="Expected time until clear">{whole(expectedMinutes)}</Figure>}
      {volumeMl > 0 && <Figure name="Mix">{volumeIn(volumeMl, units)}</Figure>}
    </dl>
  );
}

const Figure = ({ name, children }: { name: string; children: ReactNode }) => (
  <div>
    <dt>{name}</dt>
    <dd>{children}</dd>
  </div>
);

const Chance = ({
  name,
  share,
  tone,
  children,
}: {
  name: string;
  share: number;
  tone: "good" | "bad";
  children: ReactNode;
}) => (
  <div className={tone} style={{ "--share": share } as CSSProperties}>
    <dt>{name}</dt>
    <dd>{children}</dd>
  </div>
);
