"use client";

import { Link } from "@/ui/Link";
import { useState } from "react";
import Form from "react-bootstrap/Form";
import type { Detail } from "@/core/advice/plans/ask";
import type { DatedPicture } from "@/core/advice/plans/draw";
import type { DatedSchedule } from "@/core/advice/plans/schedules";
import type { Day } from "@/core/shared/days";
import { cautionsOfAct } from "@/core/acts/acts";
import { workOf } from "@/core/acts/works";
import type { PlannedDose } from "@/core/record/facts/kinds/programme";
import { mixesOf, type MixId } from "@/core/knowledge/mixes/mixes";
import type { CourseTaught } from "@/core/advice/learning/courses";
import type { PestId } from "@/core/knowledge/pests/pests";
import { isWork, type Dose } from "@/core/advice/planning/doses";
import { repeatBounds } from "@/core/advice/planning/bounds";
import { remedyOf, type RemedyId } from "@/core/knowledge/remedies/remedies";
import type { TreatedPlant } from "@/core/advice/tolerance/treatedPlant";
import { actObjections } from "@/core/advice/tolerance/actObjections";
import { mixFor } from "@/core/advice/tolerance/mixFor";
import { objections } from "@/core/advice/tolerance/suitability";
import { LivesChart } from "@/ui/charts/LivesChart";
import { CautionList } from "@/ui/Cautions";
import { PhoneFold } from "@/ui/PhoneFold";
import { useAnswer, type Question, type ReckonerHandle } from "@/ui/reckoner/useReckoner";
import { plannedName, workNames } from "@/wording/names/acts";
import { percent } from "@/wording/advice/chances";
import { ownSentences } from "@/wording/advice/learning";
import { dayInWords } from "@/wording/dates";
import { mixNames, remedyNames, techniqueNames, wayNames } from "@/wording/names/names";
import { bindingSentence, boundSentences, planSentence, whySentences } from "@/wording/advice/planning/planning";
import { Adopt, type Adopting } from "./Adopt";
import { Preparing } from "./Preparing";
import type { Chosen, Way } from "./ways";

interface Props {
  way: Way;
  plantId: string;
  /** Whether its sentence stands above all of them already. */
  isTold: boolean;
  /** Whether the first day is one: without it nothing can be adopted. */
  dated: boolean;
  pest: PestId;
  meanC: number;
  bearer: TreatedPlant;
  mixOf: (remedy: RemedyId) => MixId;
  onMix: (mix: MixId) => void;
  /** Asks what the dates come to with other mixes. */
  promise: (dates: readonly Day[], doses: readonly Dose[]) => Question<DatedSchedule>;
  /** Asks why these dates, and what would add to them. */
  detail: (schedule: DatedSchedule) => Question<Detail>;
  /** Asks for the picture of these treatments. */
  draw: (dates: readonly Day[], doses: readonly Dose[]) => Question<DatedPicture>;
  today: Day;
  /** What ways have ended against this pest on the keeper's own record. */
  taught: readonly CourseTaught[];
  reckoner: ReckonerHandle;
  planned: (dose: Dose) => PlannedDose;
  choose: (chosen: Chosen) => void;
  adopting: Adopting;
}

/** Everything about one way in one place: what it is done with, when, why then, what anyone can check, and its cautions. */
export function WayDetail(props: Props) {
  const { way, plantId, isTold, dated, pest, meanC, bearer, mixOf, onMix, promise, detail, draw } = props;
  const { reckoner, planned, choose } = props;
  const [at, setAt] = useState<string | null>(null);
  const schedule = way.others.find((other) => other.at === at)?.schedule ?? way.schedule;
  const { dates } = schedule;
  const used = [...new Map(schedule.doses.map((dose) => [JSON.stringify(dose), dose])).values()];
  const put = used.flatMap((dose) => (isWork(dose) ? [] : [dose]));
  const acts = used.flatMap((dose) => (isWork(dose) ? [workOf(dose.work).act(bearer)] : []));
  const remedies = [...new Set(put.map((dose) => dose.remedy))];
  const named = (dose: Dose) => plannedName(isWork(dose) ? dose : { ...dose, mix: mixOf(dose.remedy) });
  const changed = remedies.some((remedy) => mixOf(remedy) !== mixFor(remedy, bearer));
  const doses = schedule.doses.map((dose) => (isWork(dose) ? dose : { ...dose, mix: mixOf(dose.remedy) }));
  const key = JSON.stringify([way.id, dates, doses]);
  const answered = useAnswer(
    reckoner,
    (remote) => (changed ? promise(dates, doses)(remote) : Promise.resolve(schedule)),
    key,
  );
  const shown = (answered.key === key && answered.answer) || schedule;
  const why = useAnswer(reckoner, detail(schedule), key);
  const more = why.key === key ? why.answer : null;
  const drawn = useAnswer(reckoner, draw(dates, doses), key);
  const picture = drawn.key === key ? drawn.answer : null;
  const looks = shown.looks.map((day) => ({ day, kind: "clean" as const }));
  const several = used.length > 1;
  if (dates.length === 0) return <LookFirst plantId={plantId} schedule={schedule} />;
  return (
    <>
      {(!isTold || at !== null || changed) && (
        <p className="mb-2">{planSentence(way.name, shown, way.basis !== "reckoned")}</p>
      )}
      {ownSentences(used, props.taught).map((sentence) => (
        <p key={sentence} className="mb-2">
          {sentence}
        </p>
      ))}
      {way.others.length > 0 && (
        <div className="d-flex flex-wrap gap-2 mb-2" role="group" aria-label="Which dates">
          {[null, ...way.others.map((other) => other.at)].map((one) => (
            <button
              key={one ?? "usual"}
              type="button"
              className={`btn btn-sm ${one === at ? "btn-primary" : "btn-outline-primary"}`}
              aria-pressed={one === at}
              onClick={() => setAt(one)}
            >
              {one ?? "Least work"}
            </button>
          ))}
        </div>
      )}
      {picture && <LivesChart pest={pest} picture={picture} marks={looks} today={props.today} />}
      <div className="way-columns">
        <section>
          {remedies.map((remedy) => (
            <div key={remedy} className="d-flex d-sm-block align-items-center gap-2 mb-2">
              <Form.Label htmlFor={`mix-${remedy}`} className="fw-semibold mb-0 mb-sm-1">
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
            {dates.map((date, i) => (
              <li key={i}>
                {dayInWords(date)}
                {several && `: ${named(doses[i]!).toLowerCase()}`}
              </li>
            ))}
          </ol>
          <p className="mb-1">Then look: {shown.looks.map(dayInWords).join(", ")}.</p>
          <p className="small mb-0">
            {used.map((dose) => (isWork(dose) ? workNames[dose.work] : techniqueNames[dose.technique])).join("; then ")}
            . Looked at or not, {percent(shown.pOver)} likely over by {dayInWords(shown.by)}.
          </p>
        </section>
        <section>
          {(remedies.length > 0 || (more && more.why.length > 0)) && (
            <PhoneFold summary="Why these dates">
              {more && more.why.length > 0 && (
                <>
                  <h2 className="h3 d-none d-sm-block">Why these dates</h2>
                  {whySentences(more.why, more.help).map((sentence) => (
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
                  {more && more.why.length > 0 && <p className="small mb-0">{bindingSentence(more.why)}</p>}
                </details>
              )}
            </PhoneFold>
          )}
          {more?.preparation && <Preparing preparation={more.preparation} plantId={plantId} />}
        </section>
        <section className="way-cautions" tabIndex={0} aria-label="Cautions for this way">
          <CautionList
            briefly
            against={[
              ...put.flatMap(({ remedy, technique }) => objections(bearer, mixOf(remedy), technique)),
              ...acts.flatMap((act) => actObjections(act, bearer)),
            ]}
            cautions={[
              ...put.flatMap(({ remedy }) => remedyOf(remedy).cautions),
              ...acts.flatMap((act) => cautionsOfAct(act)),
            ]}
          />
        </section>
      </div>
      <Adopt
        chosen={{ basis: way.basis, dates: dated ? dates : [], doses: dated ? doses.map(planned) : [] }}
        choose={choose}
        adopting={props.adopting}
      />
    </>
  );
}

/** Nothing is adopted for it: a plant in a case is looked at weekly anyhow. */
function LookFirst({ plantId, schedule }: { plantId: string; schedule: DatedSchedule }) {
  return (
    <>
      <p className="mb-2">{planSentence(wayNames.lookFirst, schedule)}</p>
      <p className="mb-2">Looks: {schedule.looks.map(dayInWords).join(", ")}. They come due by themselves.</p>
      <Link className="btn btn-primary" href={`/plants/${plantId}/look`}>
        Look
      </Link>
    </>
  );
}
