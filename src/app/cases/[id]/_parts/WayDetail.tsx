"use client";

import Form from "react-bootstrap/Form";
import { cautionsOfAct } from "@/core/acts/acts";
import { workOf } from "@/core/acts/works";
import type { PlannedDose } from "@/core/facts/kinds/programme";
import { mixesOf, type MixId } from "@/core/mixing/mixes";
import type { PestId } from "@/core/pests/pests";
import { isWork, type Dose } from "@/core/planning/doses";
import { repeatBounds } from "@/core/planning/bounds";
import type { RemedyId } from "@/core/remedies/remedies";
import type { Bearer } from "@/core/suitability/bearer";
import { actObjections } from "@/core/suitability/actObjections";
import { mixFor } from "@/core/suitability/mixFor";
import { CautionList, Cautions } from "@/ui/Cautions";
import { useAnswer, type Question, type ReckonerHandle } from "@/ui/reckoner/useReckoner";
import { plannedName, workNames } from "@/wording/acts";
import { percent } from "@/wording/chances";
import { dayInWords } from "@/wording/dates";
import { mixNames, remedyNames, techniqueNames } from "@/wording/names";
import { bindingSentence, boundSentences, whySentences } from "@/wording/planning";
import { Adopt, type Adopting } from "./Adopt";
import type { Chosen, Way } from "./ways";

interface Props {
  way: Way;
  /** Whether the first day is one: without it nothing can be adopted. */
  dated: boolean;
  pest: PestId;
  meanC: number;
  bearer: Bearer;
  mixOf: (remedy: RemedyId) => MixId;
  onMix: (mix: MixId) => void;
  /** Asks what the way's dates come to with other mixes. */
  promise: (doses: readonly Dose[]) => Question<number>;
  reckoner: ReckonerHandle;
  planned: (dose: Dose) => PlannedDose;
  choose: (chosen: Chosen) => void;
  adopting: Adopting;
}

/** Everything about one way in one place: what it is done with, when, why then, what anyone can check, and its cautions. */
export function WayDetail(props: Props) {
  const { way, dated, pest, meanC, bearer, mixOf, onMix, promise, reckoner, planned, choose, adopting } = props;
  const used = [...new Map(way.doses.map((dose) => [JSON.stringify(dose), dose])).values()];
  const put = used.flatMap((dose) => (isWork(dose) ? [] : [dose]));
  const works = used.filter(isWork);
  const remedies = [...new Set(put.map((dose) => dose.remedy))];
  const named = (dose: Dose) => plannedName(isWork(dose) ? dose : { ...dose, mix: mixOf(dose.remedy) });
  const changed = remedies.some((remedy) => mixOf(remedy) !== mixFor(remedy, bearer));
  const doses = way.doses.map((dose) => (isWork(dose) ? dose : { ...dose, mix: mixOf(dose.remedy) }));
  const key = JSON.stringify([way.id, way.dates, doses]);
  const answered = useAnswer(
    reckoner,
    (remote) => (changed ? promise(doses)(remote) : Promise.resolve(way.pOver)),
    key,
  );
  const pOver = answered.key === key && answered.answer !== null ? answered.answer : way.pOver;
  const several = used.length > 1;
  return (
    <>
      <div className="way-columns">
        <section>
          {remedies.map((remedy) => (
            <div key={remedy} className="mb-2">
              <Form.Label htmlFor={`mix-${remedy}`} className="fw-semibold mb-1">
                {remedies.length > 1 ? `Mix: ${remedyNames[remedy].toLowerCase()}` : "Mix"}
              </Form.Label>
              <Form.Select
                id={`mix-${remedy}`}
                value={mixOf(remedy)}
                onChange={(event) => onMix(event.target.value as MixId)}
              >
                {mixesOf(remedy).map((mix) => (
                  <option key={mix} value={mix}>
                    {mixNames[mix]}
                  </option>
                ))}
              </Form.Select>
            </div>
          ))}
          <h2 className="h3">Dates</h2>
          <ol className="way-dates">
            {way.dates.map((date, i) => (
              <li key={date}>
                {dayInWords(date)}
                {several && `: ${named(way.doses[i]!).toLowerCase()}`}
              </li>
            ))}
          </ol>
          <p className="small mb-0">
            {used.map((dose) => (isWork(dose) ? workNames[dose.work] : techniqueNames[dose.technique])).join("; then ")}
            . {percent(pOver)} likely over by {dayInWords(way.by)}.
          </p>
        </section>
        <section>
          {way.why.length > 0 && (
            <>
              <h2 className="h3">Why these dates</h2>
              {whySentences(way.why, way.help).map((sentence) => (
                <p key={sentence} className="mb-1">
                  {sentence}
                </p>
              ))}
            </>
          )}
          {remedies.length > 0 && (
            <details className="mt-2">
              <summary>Check by hand</summary>
              <ul className="ps-3 mb-1">
                {boundSentences(repeatBounds(pest, remedies.at(-1)!, meanC)).map((sentence) => (
                  <li key={sentence}>{sentence}</li>
                ))}
              </ul>
              {way.why.length > 0 && <p className="small mb-0">{bindingSentence(way.why)}</p>}
            </details>
          )}
          <Adopt
            chosen={{ basis: way.basis, dates: dated ? way.dates : [], doses: dated ? way.doses.map(planned) : [] }}
            choose={choose}
            adopting={adopting}
          />
        </section>
        <section className="way-cautions" tabIndex={0} aria-label="Cautions for this way">
          {put.map(({ remedy, technique }) => (
            <Cautions key={`${remedy} ${technique}`} mix={mixOf(remedy)} plant={bearer} technique={technique} />
          ))}
          {works.map(({ work }) => {
            const act = workOf(work).act(bearer);
            return <CautionList key={work} against={actObjections(act, bearer)} cautions={cautionsOfAct(act)} />;
          })}
        </section>
      </div>
    </>
  );
}
