"use client";

import dynamic from "next/dynamic";
import { useState } from "react";
import { TRIAL_DAY } from "@/core/advice/plans/trial";
import { addDays, daysBetween, type Day } from "@/core/shared/days";
import type { CaseFileInput } from "@/core/record/format/schema";
import type { PestId } from "@/core/knowledge/pests/pests";
import { repeatBounds } from "@/core/advice/planning/bounds";
import { remedyIds, remedyOf, repeatable, type RemedyId, type TechniqueId } from "@/core/knowledge/remedies/remedies";
import { schools, type SchoolId } from "@/core/knowledge/remedies/schools";
import type { Mark } from "@/ui/charts/CaseChart";
import { Panel } from "@/ui/Panel";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { percent } from "@/wording/advice/chances";
import { remedyNames, schoolNames, techniqueNames } from "@/wording/names/names";
import { bindingSentence, boundSentences, whySentences } from "@/wording/advice/planning/planning";
import { named } from "@/ui/fields/options";
import { SelectBox } from "@/ui/fields/SelectBox";
import { SprayLine } from "./SprayLine";

const TrialPicture = dynamic(() => import("./TrialPicture").then((module) => module.TrialPicture), {
  ssr: false,
  loading: () => <p className="mb-0">Drawing …</p>,
});

const LAST_DAY = 60;
const MOST_SPRAYS = 12;
const LONGEST_GAP_DAYS = 20;
/** The picture goes on for a generation after the last treatment, within what a screen can show. */
const LONGEST_DAYS = 150;

const dayOf = (n: number) => addDays(TRIAL_DAY, n);
const every = (interval: number, times: number) =>
  Array.from({ length: times }, (_, i) => i * interval).filter((day) => day <= LAST_DAY);

const countedTo = (most: number) => Array.from({ length: most }, (_, i) => [String(i + 1), String(i + 1)] as const);

/** The school whose schedule this is, if it is one's. */
function schoolOf(remedy: RemedyId, technique: TechniqueId, days: readonly number[]): SchoolId | "" {
  const same = schools.find(
    (school) => school.remedy === remedy && school.technique === technique && String(school.days) === String(days),
  );
  return same?.id ?? "";
}

/** A remedy put on in one way, every so many days, so many times. */
export interface CourseBegun {
  readonly remedy: RemedyId;
  readonly technique: TechniqueId;
  readonly every: number;
  readonly times: number;
}

interface Props {
  title: string;
  begun: CourseBegun;
  pest: PestId;
  meanC: number;
  generationDays: number;
  file: CaseFileInput;
}

/** One course of treatments against the case: what it leaves, and why, follow while a treatment is dragged. */
export function Course({ title, begun, pest, meanC, generationDays, file }: Props) {
  const [remedy, setRemedy] = useState<RemedyId>(begun.remedy);
  const [technique, setTechnique] = useState<TechniqueId>(begun.technique);
  const [days, setDays] = useState<number[]>(every(begun.every, begun.times));
  const coming = days.map((day) => ({ day: dayOf(day), dose: { remedy, technique } }));
  const until = dayOf(Math.min(LONGEST_DAYS, (days.at(-1) ?? 0) + generationDays));
  const reckoner = useReckoner();
  const key = JSON.stringify([file, coming, until]);
  const { answer } = useAnswer(reckoner, (remote) => remote.draw(file, coming, until, null), key);
  const { answer: why } = useAnswer(reckoner, (remote) => remote.blame(file, coming, until), key);
  const marks: Mark[] = [
    { day: TRIAL_DAY, kind: "found" },
    ...coming.map(({ day }): Mark => ({ day, kind: "planned" })),
  ];
  const end = answer?.points.at(-1);
  const choose = (next: RemedyId) => {
    setRemedy(next);
    if (!repeatable(next).includes(technique)) setTechnique(repeatable(next)[0]!);
  };
  const follow = (school: SchoolId | "") => {
    const followed = schools.find((one) => one.id === school);
    if (!followed) return;
    setRemedy(followed.remedy);
    setTechnique(followed.technique);
    setDays([...followed.days]);
  };
  const interval = days.length > 1 ? days[1]! - days[0]! : remedyOf(remedy).smallestIntervalDays;
  return (
    <Panel title={title}>
      <p className="fs-4 mb-1" aria-live="polite">
        {end && end.pClear !== null ? (
          <>
            <span className="fw-semibold">{percent(end.pClear)}</span> likely over on day{" "}
            {daysBetween(TRIAL_DAY, end.day)}
          </>
        ) : (
          "Working it out …"
        )}
      </p>
      {why && <p className="mb-1">{whySentences(why, null).join(" ")}</p>}
      <SprayLine days={days} lastDay={LAST_DAY} onDays={setDays} />
      <div className="row gx-2">
        <div className="col-6">
          <SelectBox label="Remedy" value={remedy} options={named(remedyIds, remedyNames)} onPick={choose} />
        </div>
        <div className="col-6">
          <SelectBox
            label="How"
            value={technique}
            options={named(repeatable(remedy), techniqueNames)}
            onPick={setTechnique}
          />
        </div>
        <div className="col-3">
          <SelectBox
            label="Times"
            value={String(days.length)}
            options={countedTo(MOST_SPRAYS)}
            onPick={(times) => setDays(every(interval, Number(times)))}
          />
        </div>
        <div className="col-3">
          <SelectBox
            label="Every … days"
            value={String(interval)}
            options={countedTo(LONGEST_GAP_DAYS)}
            onPick={(gap) => setDays(every(Number(gap), Math.max(days.length, 2)))}
          />
        </div>
        <div className="col-6">
          <SelectBox
            label="A common routine"
            value={schoolOf(remedy, technique, days)}
            options={[["", "none"], ...schools.map(({ id }) => [id, schoolNames[id]] as const)]}
            onPick={follow}
          />
        </div>
      </div>
      {answer ? (
        <TrialPicture picture={answer} marks={marks} today={TRIAL_DAY as Day} />
      ) : (
        <p className="mb-0">Working it out …</p>
      )}
      <details className="mt-2">
        <summary>Check by hand</summary>
        <ul className="ps-3 mb-1 small">
          {boundSentences(repeatBounds(pest, remedy, meanC)).map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
        {why && why.length > 0 && <p className="small mb-0">{bindingSentence(why)}</p>}
      </details>
    </Panel>
  );
}
