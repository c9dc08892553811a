"use client";

import { proxy } from "comlink";
import { useRouter } from "next/navigation";
import { useState } from "react";
import Form from "react-bootstrap/Form";
import { v7 as uuidv7 } from "uuid";
import { adoptPlanAction } from "@/app/_parts/actions";
import type { OnPlant } from "@/core/advice/plans/onPlant";
import type { DatedProgress, DatedWay } from "@/core/advice/plans/ask";
import { isDay, type Day } from "@/core/shared/days";
import { adoptPlan, type Basis, type PlannedDose } from "@/core/record/facts/kinds/programme";
import type { CaseFileInput } from "@/core/record/format/schema";
import { mixes as allMixes, type MixId } from "@/core/knowledge/mixes/mixes";
import type { CourseTaught } from "@/core/advice/learning/courses";
import type { PestId } from "@/core/knowledge/pests/pests";
import { isWork, type Dose } from "@/core/advice/planning/doses";
import type { TreatmentCourses } from "@/core/advice/planning/treatmentCourse";
import type { RemedyId } from "@/core/knowledge/remedies/remedies";
import { mixFor } from "@/core/advice/tolerance/mixFor";
import { useCommand } from "@/ui/fields/useCommand";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { Reckoning } from "@/ui/reckoner/Reckoning";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { usePhone } from "@/ui/shell/usePhone";
import { shortObjections } from "@/wording/advice/cautions";
import { percent } from "@/wording/advice/chances";
import { dayInWords } from "@/wording/dates";
import { approachNames } from "@/wording/names/names";
import { planSentence } from "@/wording/advice/planning/planning";
import type { AlikeCase } from "@/operations/cases/queries/readAlike";
import { NotForAll, useAlsoFor } from "./AlsoFor";
import { ByHand } from "./ByHand";
import { ForEveryWay } from "./ForEveryWay";
import { WayDetail } from "./WayDetail";
import { WayRow } from "./WayRow";
import { rowsOf, type Chosen, type Way } from "./ways";

interface Props {
  caseId: string;
  plantId: string;
  pest: PestId;
  meanC: number;
  today: Day;
  on: OnPlant;
  file: CaseFileInput;
  workDays: readonly number[];
  /** How sure clean looks are to make it, 0–1. */
  target: number;
  /** The courses of remedies that run on the plant. */
  courses: TreatmentCourses;
  /** When it is looked at next, where that lies ahead. */
  nextLook: Day | null;
  /** Other plants with the same pest. */
  alike: readonly AlikeCase[];
  /** What ways have ended against this pest on the keeper's own record. */
  taught: readonly CourseTaught[];
  /** What the plan in force goes on with: one made by hand begins there. */
  current: PlannedDose | null;
}

/** So many ways are shown before more are asked for. */
const SHOWN = 6;
const SHOWN_ON_PHONE = 2;

const max = (a: Day, b: Day): Day => (a > b ? a : b);

/** The row of what the keeper puts together. */
const BY_HAND = "byHand";

/** Ways to go about a case, compared by reckoning; each opens in its own place with everything needed to adopt it. */
export function PlanForm(props: Props) {
  const { caseId, plantId, pest, meanC, today, on, file, workDays, target, courses, nextLook, current } = props;
  const router = useRouter();
  const usual = current && "mix" in current ? current : null;
  const [pressed, setPressed] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const phone = usePhone();
  const most = phone ? SHOWN_ON_PHONE : SHOWN;
  const [firstTyped, setFirst] = useState<string>(today);
  const [ownMixes, setOwnMixes] = useState<Partial<Record<RemedyId, MixId>>>({});
  const [soFar, setSoFar] = useState<{ key: string; share: number; plans: readonly DatedWay[] } | null>(null);
  const also = useAlsoFor(props.alike);
  const { form, submit, trouble } = useCommand({
    schema: adoptPlan,
    action: adoptPlanAction,
    defaults: () => ({
      id: uuidv7(),
      caseId,
      mix: usual?.mix ?? mixFor("alcohol", on.bearer),
      technique: usual?.technique ?? ("dab" as const),
      basis: "reckoned" as Basis,
      dates: [] as string[],
      doses: [] as PlannedDose[],
    }),
    done: () => {
      void also.adopt(form.getValues()).then((all) => all && router.push(`/cases/${caseId}`));
    },
  });

  const first = isDay(firstTyped) ? firstTyped : null;
  const begins = first ?? today;
  const looked = nextLook !== null && nextLook > begins ? { nextLook } : {};
  const question = { first: begins, workDays, target, courses, on, ...looked };
  const reckoner = useReckoner();
  const key = JSON.stringify(question);
  const take = ({ share, plan }: DatedProgress) =>
    setSoFar((before) => {
      const plans = before?.key === key ? before.plans : [];
      // The same may be asked once more before it was answered: a way that is known already stands once.
      const others = plan ? plans.filter(({ approach }) => approach !== plan.approach) : plans;
      return { key, share, plans: plan ? [...others, plan] : plans };
    });
  const compared = useAnswer(reckoner, (remote) => remote.compare(file, question, proxy(take)), key);
  // Answers to an earlier question are not shown under a new one.
  const comparison = compared.key === key ? compared.answer : null;
  const failed = compared.key === key ? compared.failed : null;
  const begun = soFar?.key === key ? soFar : null;
  const plans = comparison?.plans ?? begun?.plans ?? [];
  const ways = rowsOf(plans, comparison);
  const best = comparison ? (ways.good.find(({ id }) => id === comparison.leastWork) ?? ways.short[0]) : undefined;
  const withBottle = ways.bottled.find(({ id }) => id === comparison?.withBottle);
  const until = plans.reduce<Day>((last, { schedule }) => max(last, schedule.looks.at(-1)!), begins);
  const open = pressed ?? best?.id ?? null;

  const mixOf = (remedy: RemedyId) => ownMixes[remedy] ?? mixFor(remedy, on.bearer);
  const planned = (dose: Dose): PlannedDose =>
    isWork(dose) ? { work: dose.work } : { mix: mixOf(dose.remedy), technique: dose.technique };
  const choose = (chosen: Chosen) => {
    const last = chosen.doses.findLast((dose) => "mix" in dose);
    form.setValue("basis", chosen.basis);
    form.setValue("dates", [...chosen.dates]);
    form.setValue("doses", [...chosen.doses]);
    if (last) {
      form.setValue("mix", last.mix);
      form.setValue("technique", last.technique);
    }
  };
  const press = (id: string) => {
    form.clearErrors();
    setPressed(id === open ? "" : id);
  };
  const { dates: dated, mix: mixed } = form.formState.errors;
  const problem = [mixed?.message, dated?.message, dated?.root?.message].find((message) => typeof message === "string");
  const adopting = { form, trouble, problem: first ? problem : undefined, also };

  const row = (way: Way) => (
    <WayRow key={way.id} way={way} from={begins} until={until} open={open === way.id} onPress={() => press(way.id)}>
      <WayDetail
        way={way}
        plantId={plantId}
        isTold={way.id === best?.id}
        dated={first !== null}
        pest={pest}
        meanC={meanC}
        bearer={on.bearer}
        mixOf={mixOf}
        onMix={(mix) => setOwnMixes((before) => ({ ...before, [allMixes[mix].remedy]: mix }))}
        promise={(dates, doses) => (remote) => remote.promise(file, question, dates, doses)}
        draw={(dates, doses) => (remote) => {
          const coming = dates.map((day, i) => ({ day, dose: doses[i]! }));
          return remote.draw(file, coming, [...way.schedule.looks, ...dates].reduce(max, begins), on, false);
        }}
        today={today}
        taught={props.taught}
        detail={(schedule) => (remote) => remote.detail(file, question, schedule)}
        reckoner={reckoner}
        planned={planned}
        choose={choose}
        adopting={adopting}
      />
    </WayRow>
  );

  if (also.refused && also.refused.length > 0) return <NotForAll refused={also.refused} caseId={caseId} />;
  return (
    <form onSubmit={submit} noValidate>
      <div className="plan-first">
        <Form.Label htmlFor="first-day" className="fw-semibold mb-0">
          First treatment
        </Form.Label>
        <Form.Control
          id="first-day"
          type="date"
          value={firstTyped}
          onChange={(event) => setFirst(event.target.value)}
        />
        <span aria-live="polite">
          {first && `${dayInWords(first)}. `}
          {comparison &&
            `Clean looks are to make it ${percent(target)} sure. Waiting alone comes to ${percent(comparison.without.pOver)} by ${dayInWords(comparison.without.by)}.`}
        </span>
        <span className="text-danger-emphasis fw-semibold" role={first ? undefined : "alert"}>
          {first ? "" : "Enter a date."}
        </span>
      </div>
      {failed === "senseless" && <p>This date is before the case began. Choose a later one.</p>}
      {failed === "broken" && <NotReckoned again={compared.again} />}
      {best && (
        <p className="fs-5" role="status">
          {planSentence(best.name, best.schedule)}
        </p>
      )}
      {withBottle && <p>With a bottle you do not have: {planSentence(withBottle.name, withBottle.schedule)}</p>}
      {!failed && !comparison && <Reckoning share={begun?.share ?? 0} />}
      {comparison && <ForEveryWay comparison={comparison} />}
      {plans.length > 0 && <p className="small mb-1">Bars: treatments. Rings: looks. A wider line: likelier.</p>}
      <ul className="ways">
        {ways.good.slice(0, most).map(row)}
        {ways.good.length === 0 && ways.short.slice(0, 2).map(row)}
        {comparison && (
          <li>
            <button type="button" className="btn btn-link px-0" aria-expanded={all} onClick={() => setAll(!all)}>
              {all ? "Show only the best" : "Show everything, also what is not tolerated"}
            </button>
          </li>
        )}
        {all && ways.good.slice(most).map(row)}
        {all && ways.bottled.length > 0 && (
          <li>
            <h2 className="h3 mt-3">With a bottle you do not have</h2>
          </li>
        )}
        {all && ways.bottled.map(row)}
        {all && ways.short.length > 0 && (
          <li>
            <h2 className="h3 mt-3">Not enough on their own</h2>
          </li>
        )}
        {all && ways.short.map(row)}
        {all &&
          ways.refused.map(({ id, name, why }) => (
            <li key={id} className="way refused">
              <span className="way-name">{name}</span>
              <span>Left out: {why.map((code) => shortObjections[code]).join("; ")}.</span>
            </li>
          ))}
        {all &&
          comparison?.spent.map((id) => (
            <li key={id} className="way refused">
              <span className="way-name">{approachNames[id]}</span>
              <span>Already used as often as the label or the plant allows for now.</span>
            </li>
          ))}
        {(all || !phone) && ways.schools.length > 0 && (
          <li>
            <h2 className="h3 mt-3">Common routines</h2>
          </li>
        )}
        {(all || !phone) && ways.schools.map(row)}
      </ul>
      <ByHand
        open={open === BY_HAND}
        onPress={() => press(BY_HAND)}
        pest={pest}
        meanC={meanC}
        first={first}
        bearer={on.bearer}
        current={usual}
        reckoner={reckoner}
        file={file}
        question={question}
        choose={choose}
        adopting={adopting}
      />
    </form>
  );
}
