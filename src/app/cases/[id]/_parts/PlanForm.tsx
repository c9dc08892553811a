"use client";

import { proxy } from "comlink";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import Form from "react-bootstrap/Form";
import { v7 as uuidv7 } from "uuid";
import { adoptPlanAction } from "@/app/_parts/actions";
import type { CaseFileInput } from "@/core/format/schema";
import { doseOf } from "@/core/case/plans";
import { isDay, type Day } from "@/core/climate/days";
import { adoptPlan, type AdoptPlan, type PlannedDose } from "@/core/facts/kinds/programme";
import { mixesOf, type MixId } from "@/core/mixing/mixes";
import type { Course } from "@/core/planning/course";
import { repeatBounds } from "@/core/planning/bounds";
import { remedyIds, remedyOf, type RemedyId, type TechniqueId } from "@/core/remedies/remedies";
import { schoolsFor } from "@/core/remedies/schools";
import type { PestId } from "@/core/pests/pests";
import { mixFor } from "@/core/suitability/mixFor";
import type { Bearer } from "@/core/suitability/suitability";
import { Cautions } from "@/ui/Cautions";
import { ChoiceField, SelectField, SubmitRow } from "@/ui/fields/fields";
import { useDeed } from "@/ui/fields/useDeed";
import { Panel } from "@/ui/Panel";
import { NotReckoned } from "@/ui/reckoner/NotReckoned";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { percent } from "@/wording/chances";
import { dayInWords } from "@/wording/dates";
import { approachNames, mixNames, remedyNames, techniqueNames } from "@/wording/names";
import { boundSentences } from "@/wording/planning";
import { barredFor, chosenPlan, daysFrom, spread, type Choice } from "./choice";
import { CompareTable } from "./CompareTable";
import { DatesTable, type DatedOption } from "./DatesTable";

interface Props {
  caseId: string;
  pest: PestId;
  meanC: number;
  today: Day;
  plant: Bearer;
  potCm: number;
  file: CaseFileInput;
  workDays: readonly number[];
  /** The probability that a plan is to reach, 0–1. */
  target: number;
  /** The courses of remedies that run on the plant. */
  courses: Readonly<Record<RemedyId, Course>>;
  /** What is left of the plan in force is done with: a mended one begins there. */
  current: { readonly first: PlannedDose | null; readonly then: PlannedDose } | null;
}

const wrong = (error: { message?: unknown; root?: { message?: string } } | undefined): string | undefined =>
  [error?.message, error?.root?.message].find((message) => typeof message === "string");

/** Ways to go about a case, compared by reckoning; then mix and dates of the one chosen. */
export function PlanForm({
  caseId,
  pest,
  meanC,
  today,
  plant,
  potCm,
  file,
  workDays,
  target,
  courses,
  current,
}: Props) {
  const router = useRouter();
  const [choice, setChoice] = useState<Choice>({
    dose: current ? doseOf(current.then) : { remedy: "alcohol", technique: "dab" },
    knockDown: current?.first ? doseOf(current.first) : null,
    approach: null,
    basis: "reckoned",
  });
  const [firstTyped, setFirst] = useState<string>(today);
  const [own, setOwn] = useState({ everyDays: "7", times: "3" });
  const [share, setShare] = useState(0);
  const { form, submit, trouble } = useDeed({
    schema: adoptPlan,
    action: adoptPlanAction,
    defaults: () => ({
      id: uuidv7(),
      caseId,
      mix: current?.then.mix ?? mixFor("alcohol", plant),
      technique: current?.then.technique ?? ("dab" as TechniqueId),
      basis: "reckoned" as AdoptPlan["basis"],
      dates: [] as string[],
      knockDown: null as AdoptPlan["knockDown"],
    }),
    done: () => router.push(`/cases/${caseId}`),
  });

  const first = isDay(firstTyped) ? firstTyped : null;
  const asked = first ?? today;
  const question = { first: asked, workDays, target, courses };
  const barred = barredFor(plant);
  const reckoner = useReckoner();
  const comparedKey = JSON.stringify([question, barred]);
  const compared = useAnswer(
    reckoner,
    (remote) => remote.compare(file, question, barred, proxy(setShare)),
    comparedKey,
  );
  // Answers to an earlier question are not shown under a new one.
  const comparison = compared.key === comparedKey ? compared.answer : null;
  const failed = compared.key === comparedKey ? compared.failed : null;
  const { remedy, technique } = choice.dose;
  const schools = schoolsFor(remedy);
  const ownDates = first ? daysFrom(first, spread(Number(own.everyDays), Number(own.times))) : [];
  const lists = [...schools.map((school) => daysFrom(asked, school.days)), ownDates];
  const datesKey = JSON.stringify([question, choice.dose, lists]);
  const answered = useAnswer(reckoner, (remote) => remote.dates(file, question, choice.dose, lists), datesKey);
  const scored = answered.key === datesKey ? answered.answer : null;

  const reckoned = chosenPlan(choice, comparison) ?? scored?.recommended ?? null;
  const options: DatedOption[] = [
    { basis: "reckoned", dates: first ? (reckoned?.dates ?? []) : [], score: reckoned },
    ...schools.map((school, i) => ({
      basis: school.id as AdoptPlan["basis"],
      dates: lists[i]!,
      score: scored?.scores[i] ?? null,
    })),
    { basis: "own", dates: ownDates, score: scored?.scores[schools.length] ?? null },
  ];
  const option = options.find(({ basis }) => basis === choice.basis) ?? options[0]!;
  // Written as one text, so that the form is told only when something has changed.
  const told = JSON.stringify([choice, option.dates]);
  useEffect(() => {
    const [chosen, dates] = JSON.parse(told) as [Choice, Day[]];
    form.setValue("dates", dates);
    form.setValue("basis", chosen.basis);
    form.setValue("technique", chosen.dose.technique);
    const knock = chosen.basis === "reckoned" ? chosen.knockDown : null;
    form.setValue("knockDown", knock && { mix: mixFor(knock.remedy, plant), technique: knock.technique });
  }, [told, form, plant]);

  const choose = (next: Choice) => {
    if (next.dose.remedy !== remedy) form.setValue("mix", mixFor(next.dose.remedy, plant));
    form.clearErrors();
    setChoice(next);
  };
  const mix = form.watch("mix") as MixId;
  const datesWrong = form.formState.errors.dates;
  const byHand = (dose: Partial<Choice["dose"]>) =>
    choose({
      dose: { ...choice.dose, ...dose },
      knockDown: null,
      approach: null,
      basis: choice.basis === "own" ? "own" : "reckoned",
    });
  return (
    <form onSubmit={submit} noValidate>
      <div className="row">
        <div className="col-sm-5 mb-3">
          <Form.Label htmlFor="first-day" className="fw-semibold mb-1">
            First treatment
          </Form.Label>
          <Form.Control
            id="first-day"
            type="date"
            value={firstTyped}
            onChange={(event) => setFirst(event.target.value)}
          />
          <div className="text-danger-emphasis fw-semibold" role={first ? undefined : "alert"}>
            {first ? "" : "Write a day of the calendar."}
          </div>
        </div>
      </div>
      <Panel title="Compared">
        {failed === "senseless" && (
          <p className="mb-0">From this day on nothing can be reckoned: it lies before the case began.</p>
        )}
        {failed === "broken" && <NotReckoned again={compared.again} />}
        {!failed && !comparison && (
          <div className="progress" role="progressbar" aria-label="Reckoning" aria-valuenow={Math.round(share * 100)}>
            <div className="progress-bar" style={{ width: `${share * 100}%` }} />
          </div>
        )}
        {!failed && comparison && (
          <>
            <p>
              You want {percent(target)}. Waiting alone comes to {percent(comparison.without.pOver)} by{" "}
              {dayInWords(comparison.without.by)}.
              {comparison.fewest === null &&
                " No way here reaches what you want within what the remedies allow: the best of each is shown."}
            </p>
            {comparison.spent.length > 0 && (
              <p className="small">
                Left out, since the remedy has been put on as often as it bears:{" "}
                {comparison.spent.map((id) => approachNames[id].toLowerCase()).join("; ")}.
              </p>
            )}
            <CompareTable comparison={comparison} plant={plant} potCm={potCm} choice={choice} onChoose={choose} />
          </>
        )}
      </Panel>
      <Panel title="Your choice">
        <div className="d-flex flex-wrap gap-2 mb-3" role="group" aria-label="Remedy">
          {remedyIds.map((id: RemedyId) => (
            <button
              key={id}
              type="button"
              className={`btn ${remedy === id ? "btn-primary" : "btn-outline-primary"}`}
              aria-pressed={remedy === id}
              onClick={() => byHand({ remedy: id, technique: remedyOf(id).techniques[0]! })}
            >
              {remedyNames[id]}
            </button>
          ))}
        </div>
        {choice.knockDown && choice.basis === "reckoned" && (
          <p>
            The first time with {mixNames[mixFor(choice.knockDown.remedy, plant)].toLowerCase()}:{" "}
            {techniqueNames[choice.knockDown.technique].toLowerCase()}. Then:
          </p>
        )}
        <SelectField form={form} name="mix" label="Mix" options={mixesOf(remedy).map((id) => [id, mixNames[id]])} />
        <ChoiceField
          form={form}
          name="technique"
          label="How"
          options={remedyOf(remedy).techniques.map((id) => [id, techniqueNames[id]])}
          onChoose={(id) => byHand({ technique: id as TechniqueId })}
        />
        {mixesOf(remedy).includes(mix) && <Cautions mix={mix} plant={plant} technique={technique} />}
        <h3>What anyone can check by hand</h3>
        <ul className="ps-3">
          {boundSentences(repeatBounds(pest, remedy, meanC)).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
        <DatesTable
          options={options}
          basis={choice.basis}
          onBasis={(basis) => setChoice((before) => ({ ...before, basis }))}
          own={own}
          onOwn={setOwn}
          problem={first ? wrong(datesWrong) : undefined}
        />
        <SubmitRow form={form} trouble={trouble} label="Adopt this plan" />
      </Panel>
    </form>
  );
}
