"use client";

import dynamic from "next/dynamic";
import { useState } from "react";
import Form from "react-bootstrap/Form";
import { TRIAL_DAY, trialFile } from "@/core/case/trial";
import { addDays, daysBetween, type Day } from "@/core/climate/days";
import { animalsIn, severityIds, type SeverityId } from "@/core/inspection/severity";
import { pestIds, pestOf, type PestId } from "@/core/pests/pests";
import { eggToAdultDays } from "@/core/pests/stageDurations";
import { growthFormIds, type GrowthFormId } from "@/core/plants/growthForms";
import { repeatBounds } from "@/core/planning/bounds";
import { remedyIds, remedyOf, type RemedyId, type TechniqueId } from "@/core/remedies/remedies";
import { schools, type SchoolId } from "@/core/remedies/schools";
import type { Mark } from "@/ui/charts/CaseChart";
import { Panel } from "@/ui/Panel";
import { useAnswer, useReckoner } from "@/ui/reckoner/useReckoner";
import { percent } from "@/wording/chances";
import { growthFormNames, pestNames, remedyNames, schoolNames, severityNames, techniqueNames } from "@/wording/names";
import { boundSentences } from "@/wording/planning";
import { Pick } from "./Pick";
import { SprayLine } from "./SprayLine";

const TrialPicture = dynamic(() => import("./TrialPicture").then((module) => module.TrialPicture), {
  ssr: false,
  loading: () => <p className="mb-0">Drawing …</p>,
});

const LAST_DAY = 60;
const MOST_SPRAYS = 12;
/** The picture goes on for a generation after the last treatment, within what a screen can show. */
const LONGEST_DAYS = 150;

const dayOf = (n: number) => addDays(TRIAL_DAY, n);
const every = (interval: number, times: number) =>
  Array.from({ length: times }, (_, i) => i * interval).filter((day) => day <= LAST_DAY);

/** The school whose schedule this is, if it is one's. */
function schoolOf(remedy: RemedyId, technique: TechniqueId, days: readonly number[]): SchoolId | "" {
  const same = schools.find(
    (school) => school.remedy === remedy && school.technique === technique && String(school.days) === String(days),
  );
  return same?.id ?? "";
}

/** A plan to try: stages, and the chance that it is over, follow while a treatment is dragged. */
export function LifeCycles() {
  const [pest, setPest] = useState<PestId>("mealybug");
  const [meanC, setMeanC] = useState(22);
  const [form, setForm] = useState<GrowthFormId>("trailingVine");
  const [severity, setSeverity] = useState<SeverityId>("light");
  const [remedy, setRemedy] = useState<RemedyId>("alcohol");
  const [technique, setTechnique] = useState<TechniqueId>("sprayAndSwab");
  const [days, setDays] = useState<number[]>([0]);

  const file = trialFile({ pest, form, meanC, found: animalsIn({ severity, count: null }) });
  const coming = days.map((day) => ({ day: dayOf(day), dose: { remedy, technique } }));
  const generation = Math.ceil(eggToAdultDays(pestOf(pest), meanC) ?? LAST_DAY);
  const until = dayOf(Math.min(LONGEST_DAYS, (days.at(-1) ?? 0) + generation));
  const reckoner = useReckoner();
  const key = JSON.stringify([file, coming, until]);
  const { answer } = useAnswer(reckoner, (remote) => remote.draw(file, coming, until, null), key);
  const marks: Mark[] = [
    { day: TRIAL_DAY, kind: "found" },
    ...coming.map(({ day }): Mark => ({ day, kind: "planned" })),
  ];
  const end = answer?.points.at(-1);
  const choose = (next: RemedyId) => {
    setRemedy(next);
    if (!remedyOf(next).techniques.includes(technique)) setTechnique(remedyOf(next).techniques[0]!);
  };
  const follow = (id: SchoolId | "") => {
    const school = schools.find((one) => one.id === id);
    if (!school) return;
    setRemedy(school.remedy);
    setTechnique(school.technique);
    setDays([...school.days]);
  };
  const interval = days.length > 1 ? days[1]! - days[0]! : remedyOf(remedy).smallestIntervalDays;
  return (
    <div className="row gx-3">
      <div className="col-lg-4">
        <Panel title="The case">
          <Pick id="trial-pest" label="Pest" value={pest} ids={pestIds} names={pestNames} onPick={setPest} />
          <Pick
            id="trial-found"
            label="Found on day 0"
            value={severity}
            ids={severityIds}
            names={severityNames}
            onPick={setSeverity}
          />
          <Pick id="trial-form" label="On" value={form} ids={growthFormIds} names={growthFormNames} onPick={setForm} />
          <Form.Group controlId="trial-warmth">
            <Form.Label className="fw-semibold mb-1">At {meanC} °C</Form.Label>
            <Form.Range min={8} max={34} value={meanC} onChange={(event) => setMeanC(Number(event.target.value))} />
          </Form.Group>
        </Panel>
        <Panel title="The treatment">
          <Pick id="trial-remedy" label="Remedy" value={remedy} ids={remedyIds} names={remedyNames} onPick={choose} />
          <Pick
            id="trial-technique"
            label="How"
            value={technique}
            ids={remedyOf(remedy).techniques}
            names={techniqueNames}
            onPick={setTechnique}
          />
          <ul className="ps-3 mb-0 small">
            {boundSentences(repeatBounds(pest, remedy, meanC)).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </Panel>
      </div>
      <div className="col-lg-8">
        <Panel title="When">
          <p className="fs-4 mb-2" aria-live="polite">
            {end && end.pClear !== null ? (
              <>
                <span className="fw-semibold">{percent(end.pClear)}</span> likely over on day{" "}
                {daysBetween(TRIAL_DAY, end.day)}
              </>
            ) : (
              "Reckoning …"
            )}
          </p>
          <SprayLine days={days} lastDay={LAST_DAY} onDays={setDays} />
          <div className="row gx-2">
            <div className="col-6 col-sm-3">
              <Pick
                id="trial-times"
                label="Treatments"
                value={String(days.length)}
                ids={Array.from({ length: MOST_SPRAYS }, (_, i) => String(i + 1))}
                onPick={(times) => setDays(every(interval, Number(times)))}
              />
            </div>
            <div className="col-6 col-sm-3">
              <Pick
                id="trial-interval"
                label="Every so many days"
                value={String(interval)}
                ids={Array.from({ length: 20 }, (_, i) => String(i + 1))}
                onPick={(gap) => setDays(every(Number(gap), Math.max(days.length, 2)))}
              />
            </div>
            <div className="col-12 col-sm-6">
              <Pick
                id="trial-school"
                label="As a school does it"
                value={schoolOf(remedy, technique, days)}
                ids={["", ...schools.map((school) => school.id)]}
                names={{ ...schoolNames, "": "no school" }}
                onPick={follow}
              />
            </div>
          </div>
        </Panel>
        <Panel title="What is left">
          {answer ? (
            <TrialPicture picture={answer} marks={marks} today={TRIAL_DAY as Day} />
          ) : (
            <p className="mb-0">Reckoning …</p>
          )}
        </Panel>
      </div>
    </div>
  );
}
