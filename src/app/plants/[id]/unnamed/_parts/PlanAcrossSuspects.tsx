"use client";

import { proxy } from "comlink";
import { Link } from "@/ui/Link";
import { useState } from "react";
import { useRouter } from "next/navigation";
import { v7 as uuidv7 } from "uuid";
import { adoptUnnamedAction } from "@/app/_parts/actions";
import type { PlanAcrossSuspects, PlanAcrossSuspectsQuestion } from "@/core/advice/unnamed/planAcrossSuspects";
import type { Day } from "@/core/shared/days";
import { adoptUnnamed, type PlannedDose } from "@/core/record/facts/kinds/programme";
import { isWork } from "@/core/advice/planning/doses";
import type { TreatedPlant } from "@/core/advice/tolerance/treatedPlant";
import { mixFor } from "@/core/advice/tolerance/mixFor";
import { FieldProblem, SubmitRow } from "@/ui/fields/fields";
import { useCommand } from "@/ui/fields/useCommand";
import { Panel } from "@/ui/Panel";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { Reckoning } from "@/ui/reckoner/Reckoning";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { percent } from "@/wording/advice/chances";
import { dayInWords } from "@/wording/dates";
import { approachNames, pestNames } from "@/wording/names/names";
import { soapSentence } from "@/wording/advice/planning/unnamed";

/** What is good against everything that it may be: each way against each candidate, and weighted over all. */
export function PlanAcrossSuspects({
  plantId,
  question,
  chosen,
}: {
  plantId: string;
  question: PlanAcrossSuspectsQuestion;
  /** The dates that have been chosen already; null for none. */
  chosen: readonly Day[] | null;
}) {
  const [share, setShare] = useState(0);
  const reckoner = useReckoner();
  const key = JSON.stringify(question);
  const { answer, failed, again } = useAnswer(
    reckoner,
    (remote) => remote.planAcrossSuspects(question, proxy(setShare)),
    key,
  );
  return (
    <Panel title="Until then, against everything it may be">
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
          {answer.ways.length === 0 && <p>This plant tolerates none of the remedies at the moment: set it apart.</p>}
          {answer.ways[0] && answer.ways[0].dates.join() !== chosen?.join() && (
            <Adopt plantId={plantId} way={answer.ways[0]} bearer={question.on.bearer} instead={chosen !== null} />
          )}
          <p>{soapSentence(answer)}</p>
          <p className="small">
            Assumes a light infestation; the chances are weighted by how likely each pest is. Once it has a name, its
            own plan takes over.
          </p>
          <div className="d-flex flex-wrap gap-2">
            <Link className="btn btn-outline-primary" href={`/plants/${plantId}/apart`}>
              Set apart
            </Link>
            <Link className="btn btn-outline-primary" href={`/plants/${plantId}/act`}>
              Record a treatment
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
  way: PlanAcrossSuspects;
  bearer: TreatedPlant;
  instead: boolean;
}) {
  const router = useRouter();
  const { form, submit, trouble } = useCommand({
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
