"use client";

import { Fragment, useState } from "react";
import type { DatedComparison, DatedSchedule } from "@/core/case/ask";
import { volumeFor } from "@/core/mixing/sprayVolume";
import { approachOf, type Dose } from "@/core/planning/approaches";
import { minutesFor } from "@/core/acts/effort";
import { remedyOf } from "@/core/remedies/remedies";
import { schools } from "@/core/remedies/schools";
import { mixFor } from "@/core/suitability/mixFor";
import { objections, type Bearer } from "@/core/suitability/suitability";
import { millilitres } from "@/wording/amounts";
import { shortCautions, shortObjections } from "@/wording/cautions";
import { percent } from "@/wording/chances";
import { dayInWords } from "@/wording/dates";
import { approachNames, schoolNames, smellNames } from "@/wording/names";
import type { Choice } from "./choice";

interface Props {
  comparison: DatedComparison;
  plant: Bearer;
  potCm: number;
  choice: Choice;
  onChoose: (choice: Choice) => void;
}

/** Shown of those that fall short, where none reaches what is wanted. */
const FEW = 3;

/** Approaches and schools side by side: when, how sure and by when, and what each costs. */
export function CompareTable({ comparison, plant, potCm, choice, onChoose }: Props) {
  const [all, setAll] = useState(false);
  const good = comparison.plans
    .filter((plan) => plan.reaches)
    .toSorted((a, b) => a.dates.length - b.dates.length || b.pOver - a.pOver);
  const others = comparison.plans.filter((plan) => !plan.reaches).toSorted((a, b) => b.pOver - a.pOver);
  const few = good.length > 0 ? good : others.slice(0, FEW);
  const shown = all ? [...good, ...others] : few;
  const cost = { plant, potCm };
  return (
    <table className="table plan-table align-top">
      <caption className="visually-hidden">Ways to go about it, compared</caption>
      <thead>
        <tr>
          <th scope="col">Approach</th>
          <th scope="col">Treatments</th>
          <th scope="col">Likely over</th>
          <th scope="col">What it costs</th>
          <th scope="col">
            <span className="visually-hidden">Choose</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {shown.map((plan) => {
          const { first, then } = approachOf(plan.approach);
          const badges = (["fewest", "soonest", "gentlest"] as const).filter(
            (name) => comparison[name] === plan.approach,
          );
          const chosen = choice.basis === "reckoned" && choice.approach === plan.approach;
          return (
            <Row
              key={plan.approach}
              name={approachNames[plan.approach]}
              badges={badges}
              schedule={plan}
              reaches={plan.reaches}
              doses={plan.dates.map((_, i) => (i === 0 && first ? first : then))}
              chosen={chosen}
              choose={() =>
                onChoose({ dose: then, knockDown: first ?? null, approach: plan.approach, basis: "reckoned" })
              }
              {...cost}
            />
          );
        })}
        {few.length < comparison.plans.length && (
          <tr>
            <td colSpan={5}>
              <button type="button" className="btn btn-link px-0" aria-expanded={all} onClick={() => setAll(!all)}>
                {all ? "Only those that do best" : `All ${comparison.plans.length} ways, those that fall short too`}
              </button>
            </td>
          </tr>
        )}
        <tr>
          <th colSpan={5} scope="colgroup" className="pt-4">
            As the schools do it
          </th>
        </tr>
        {comparison.schools.map((school) => {
          const dose = schools.find((one) => one.id === school.school)!;
          return (
            <Row
              key={school.school}
              name={schoolNames[school.school]}
              badges={[]}
              schedule={school}
              reaches={school.reaches}
              doses={school.dates.map(() => dose)}
              chosen={choice.basis === school.school}
              choose={() =>
                onChoose({
                  dose: { remedy: dose.remedy, technique: dose.technique },
                  knockDown: null,
                  approach: null,
                  basis: school.school,
                })
              }
              {...cost}
            />
          );
        })}
      </tbody>
    </table>
  );
}

interface RowProps {
  name: string;
  badges: readonly string[];
  schedule: DatedSchedule;
  reaches: boolean;
  doses: readonly Dose[];
  plant: Bearer;
  potCm: number;
  chosen: boolean;
  choose: () => void;
}

function Row({ name, badges, schedule, reaches, doses, plant, potCm, chosen, choose }: RowProps) {
  const { dates, pOver, by } = schedule;
  const minutes = doses.reduce((sum, dose) => sum + minutesFor(dose.technique, potCm), 0);
  const volumeMl = doses.reduce((sum, dose) => sum + volumeFor(dose.technique, potCm), 0);
  const used = [...new Map(doses.map((dose) => [dose.remedy, dose])).values()];
  const against = used.flatMap(({ remedy, technique }) => [
    ...objections(plant, mixFor(remedy, plant), technique).map(({ code }) => shortObjections[code]),
    shortCautions[remedy],
  ]);
  const smells = used.map(({ remedy }) => smellNames[remedyOf(remedy).smell]);
  return (
    <tr className={chosen ? "table-active" : undefined}>
      <th scope="row">
        {name}
        {badges.map((badge) => (
          <Fragment key={badge}>
            {" "}
            <span className="badge text-bg-primary">{badge}</span>
          </Fragment>
        ))}
      </th>
      <td>
        {dates.length === 1 ? "once" : `${dates.length} times`}
        <div className="small text-nowrap">{dayInWords(dates[0]!)}</div>
        {dates.length > 1 && <div className="small text-nowrap">to {dayInWords(dates.at(-1)!)}</div>}
      </td>
      <td>
        <span className={reaches ? "fw-semibold" : undefined}>{percent(pOver)}</span>
        <div className="small text-nowrap">by {dayInWords(by)}</div>
      </td>
      <td className="small">
        {minutes} min, {millilitres(volumeMl)}, {[...new Set(smells)].join(", ")}
        <div>{[...new Set(against)].join("; ")}</div>
      </td>
      <td>
        <button
          type="button"
          className={`btn ${chosen ? "btn-primary" : "btn-outline-primary"}`}
          aria-pressed={chosen}
          aria-label={`Choose: ${name}`}
          onClick={choose}
        >
          {chosen ? "Chosen" : "Choose"}
        </button>
      </td>
    </tr>
  );
}
