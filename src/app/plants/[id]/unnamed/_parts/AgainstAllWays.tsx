"use client";

import { proxy } from "comlink";
import Link from "next/link";
import { useState } from "react";
import type { AgainstAllQuestion } from "@/core/case/againstAll";
import { Panel } from "@/ui/Panel";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { Reckoning } from "@/ui/reckoner/Reckoning";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { percent } from "@/wording/chances";
import { dayInWords } from "@/wording/dates";
import { approachNames, pestNames } from "@/wording/names";
import { soapSentence } from "@/wording/unnamed";

/** What is good against everything that it may be: each way against each candidate, and weighted over all. */
export function AgainstAllWays({ plantId, question }: { plantId: string; question: AgainstAllQuestion }) {
  const [share, setShare] = useState(0);
  const reckoner = useReckoner();
  const key = JSON.stringify(question);
  const { answer, failed, again } = useAnswer(reckoner, (remote) => remote.againstAll(question, proxy(setShare)), key);
  return (
    <Panel title="Until then, against all it may be">
      {failed && <NotReckoned again={again} />}
      {!failed && !answer && <Reckoning share={share} />}
      {answer && (
        <>
          <table className="table mb-2">
            <thead>
              <tr>
                <th scope="col">Way</th>
                {question.candidates.map(({ pest }) => (
                  <th key={pest} scope="col" className="text-end">
                    {pestNames[pest]}
                  </th>
                ))}
                <th scope="col" className="text-end">
                  Whatever it is
                </th>
              </tr>
            </thead>
            <tbody>
              {answer.ways.map(({ approach, each, pOver, dates }, i) => (
                <tr key={approach}>
                  <th scope="row" className={i === 0 ? undefined : "fw-normal"}>
                    {approachNames[approach]}
                    <span className="d-block small fw-normal">
                      {dates.length === 1 ? "once, " : `${dates.length} times, `}
                      {dates.slice(0, 4).map(dayInWords).join(", ")}
                      {dates.length > 4 && " …"}
                    </span>
                  </th>
                  {each.map((chance, k) => (
                    <td key={question.candidates[k]!.pest} className="text-end">
                      {percent(chance)}
                    </td>
                  ))}
                  <td className="text-end fw-semibold">{percent(pOver)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {answer.ways.length === 0 && <p>This plant bears none of the remedies just now: set it apart.</p>}
          <p>{soapSentence(answer)}</p>
          <p className="small">
            A light infestation is supposed; the chances are those of the model, weighted by how likely each is. Once it
            has a name, its own plan takes over.
          </p>
          <div className="d-flex flex-wrap gap-2">
            <Link className="btn btn-outline-primary" href={`/plants/${plantId}/apart`}>
              Set apart
            </Link>
            <Link className="btn btn-outline-primary" href={`/plants/${plantId}/act`}>
              Write down an act
            </Link>
          </div>
        </>
      )}
    </Panel>
  );
}
