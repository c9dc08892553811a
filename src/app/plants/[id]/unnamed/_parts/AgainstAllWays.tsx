"use client";

import { proxy } from "comlink";
import Link from "next/link";
import { useState } from "react";
import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { adoptUnnamedAction } from "@/app/_parts/actions";
import type { AgainstAll, AgainstAllQuestion } from "@/core/case/againstAll";
import type { Day } from "@/core/climate/days";
import { adoptUnnamed, type PlannedDose } from "@/core/facts/kinds/programme";
import { isWork } from "@/core/planning/doses";
import type { Bearer } from "@/core/suitability/bearer";
import { mixFor } from "@/core/suitability/mixFor";
import { FieldProblem, SubmitRow } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { Panel } from "@/ui/Panel";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { Reckoning } from "@/ui/reckoner/Reckoning";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { percent } from "@/wording/chances";
import { dayInWords } from "@/wording/dates";
import { approachNames, pestNames } from "@/wording/names";
import { soapSentence } from "@/wording/unnamed";

/** What is good against everything that it may be: each way against each candidate, and weighted over all. */
export function AgainstAllWays({
  plantId,
  question,
  chosen,
}: {
  plantId: string;
  question: AgainstAllQuestion;
  /** The dates that have been chosen already; null for none. */
  chosen: readonly Day[] | null;
}) {
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
          {answer.ways[0] && answer.ways[0].dates.join() !== chosen?.join() && (
            <Adopt plantId={plantId} way={answer.ways[0]} bearer={question.on.bearer} instead={chosen !== null} />
          )}
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

/** The best of the ways is taken with one press; its days then fall due until there is a name. */
function Adopt({
  plantId,
  way,
  bearer,
  instead,
}: {
  plantId: string;
  way: AgainstAll;
  bearer: Bearer;
  instead: boolean;
}) {
  const router = useRouter();
  const { form, submit, trouble } = useDeed({
    schema: adoptUnnamed,
    action: adoptUnnamedAction,
    defaults: () => ({
      ...{ id: uuidv7(), plantId, dates: [...way.dates] as string[] },
      doses: way.doses.map((dose): PlannedDose => {
        if (isWork(dose)) return { work: dose.work };
        return { mix: dose.mix ?? mixFor(dose.remedy, bearer), technique: dose.technique };
      }),
    }),
    done: () => {
      form.setValue("id", uuidv7());
      router.refresh();
    },
  });
  const { errors } = form.formState;
  return (
    <form onSubmit={submit} className="mb-3" noValidate>
      <FieldProblem id="dates" message={errors.dates?.message ?? errors.dates?.root?.message} />
      <SubmitRow
        form={form}
        trouble={trouble}
        label={`Take ${instead ? "instead " : ""}the first: ${approachNames[way.approach].toLowerCase()}`}
        variant={instead ? "outline-primary" : "primary"}
      />
    </form>
  );
}
