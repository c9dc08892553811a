"use client";

import { ChevronDown, ChevronRight } from "lucide-react";
import { useState } from "react";
import Form from "react-bootstrap/Form";
import type { PlanQuestion } from "@/core/advice/plans/ask";
import type { Day } from "@/core/shared/days";
import type { PlannedDose } from "@/core/record/facts/kinds/programme";
import type { CaseFileInput } from "@/core/record/format/schema";
import { anyHome, isKeptOut } from "@/core/knowledge/household/household";
import { mixes, mixesWith, type MixId } from "@/core/knowledge/mixes/mixes";
import type { PestId } from "@/core/knowledge/pests/pests";
import { repeatBounds } from "@/core/advice/planning/bounds";
import { remedyIds, repeatable, type RemedyId, type TechniqueId } from "@/core/knowledge/remedies/remedies";
import type { TreatedPlant } from "@/core/advice/tolerance/treatedPlant";
import { mixFor } from "@/core/advice/tolerance/mixFor";
import { Cautions } from "@/ui/Cautions";
import { useAnswer, type ReckonerHandle } from "@/ui/reckoner/useReckoner";
import { dayInWords } from "@/wording/dates";
import { mixNames, remedyNames, techniqueNames } from "@/wording/names/names";
import { boundSentences, looksInWords } from "@/wording/advice/planning/planning";
import { Adopt, type Adopting } from "./Adopt";
import { daysFrom, spread, type Chosen } from "./ways";
import { named } from "@/ui/fields/options";
import { SelectBox } from "@/ui/fields/SelectBox";

interface Props {
  open: boolean;
  onPress: () => void;
  pest: PestId;
  meanC: number;
  /** The first day, while what was typed is one. */
  first: Day | null;
  bearer: TreatedPlant;
  current: Extract<PlannedDose, { mix: MixId }> | null;
  reckoner: ReckonerHandle;
  file: CaseFileInput;
  question: PlanQuestion;
  choose: (chosen: Chosen) => void;
  adopting: Adopting;
}

/** What the keeper puts together: any remedy, mix, technique, and dates reckoned for it or their own. */
export function ByHand(props: Props) {
  const { open, onPress } = props;
  const Mark = open ? ChevronDown : ChevronRight;
  return (
    <div className={`way ${open ? "open" : ""}`}>
      <button type="button" className="way-line" aria-expanded={open} onClick={onPress}>
        <Mark className="way-mark" size={18} aria-hidden />
        <span className="way-name">Your own plan: any remedy, any dates</span>
      </button>
      {open && (
        <div className="way-more">
          <Choices {...props} />
        </div>
      )}
    </div>
  );
}

function Choices({ pest, meanC, first, bearer, current, reckoner, file, question, choose, adopting }: Props) {
  const allowed = remedyIds.filter((id) => !isKeptOut(id, bearer.home ?? anyHome, bearer));
  const [mix, setMix] = useState<MixId>(current?.mix ?? mixFor(allowed[0] ?? "soap", bearer));
  const [technique, setTechnique] = useState<TechniqueId>(current?.technique ?? "dab");
  const [basis, setBasis] = useState<"reckoned" | "own">("reckoned");
  const [own, setOwn] = useState({ everyDays: "7", times: "3" });
  const { remedy } = mixes[mix];
  const dose = { remedy, technique, mix };
  const ownDates = first ? daysFrom(first, spread(Number(own.everyDays), Number(own.times))) : [];
  const key = JSON.stringify([question, dose, ownDates]);
  const answered = useAnswer(reckoner, (remote) => remote.dates(file, question, dose, [ownDates]), key);
  const scored = answered.key === key ? answered.answer : null;
  const options = [
    {
      id: "reckoned" as const,
      label: "Suggested dates",
      dates: first ? (scored?.recommended?.dates ?? []) : [],
      score: scored?.recommended,
    },
    { id: "own" as const, label: "Your own dates", dates: ownDates, score: scored?.scores[0] },
  ];
  const { dates } = options.find(({ id }) => id === basis)!;
  const takes = (next: RemedyId) => {
    setMix(mixFor(next, bearer));
    if (!repeatable(next).includes(technique)) setTechnique(repeatable(next)[0]!);
  };
  const number = (field: "everyDays" | "times", id: string, label: string) => (
    <div className="col-6 mb-2">
      <Form.Label htmlFor={id} className="fw-semibold mb-1">
        {label}
      </Form.Label>
      <Form.Control
        id={id}
        inputMode="numeric"
        value={own[field]}
        onChange={(event) => setOwn({ ...own, [field]: event.target.value })}
      />
    </div>
  );
  return (
    <>
      <div className="way-columns">
        <section>
          <div className="d-flex flex-wrap gap-2 mb-2" role="group" aria-label="Remedy">
            {allowed.map((id) => (
              <button
                key={id}
                type="button"
                className={`btn btn-sm ${remedy === id ? "btn-primary" : "btn-outline-primary"}`}
                aria-pressed={remedy === id}
                onClick={() => takes(id)}
              >
                {remedyNames[id]}
              </button>
            ))}
          </div>
          <SelectBox
            className="mb-2"
            label="Mix"
            value={mix}
            options={named(mixesWith(remedy), mixNames)}
            onPick={setMix}
          />
          <SelectBox
            className="mb-2"
            label="How"
            value={technique}
            options={named(repeatable(remedy), techniqueNames)}
            onPick={setTechnique}
          />
        </section>
        <section>
          {options.map(({ id, label, dates: days, score }) => (
            <Form.Check
              key={id}
              type="radio"
              name="basis"
              id={`basis-${id}`}
              className="way-basis mb-2"
              checked={basis === id}
              onChange={() => setBasis(id)}
              label={
                <>
                  <span className="fw-semibold d-block">{label}</span>
                  <span className="small">
                    {days.length === 0 ? "No dates yet." : days.map(dayInWords).join(", ")}
                    {score &&
                      days.length > 0 &&
                      `; looks until ${dayInWords(score.looks.at(-1)!)}: ${looksInWords(score)}.`}
                  </span>
                </>
              }
            />
          ))}
          {basis === "own" && (
            <div className="row">
              {number("everyDays", "own-every", "Every … days (1–60)")}
              {number("times", "own-times", "How often (1–24)")}
            </div>
          )}
          <details open>
            <summary>Check by hand</summary>
            <ul className="ps-3">
              {boundSentences(repeatBounds(pest, remedy, meanC)).map((sentence) => (
                <li key={sentence}>{sentence}</li>
              ))}
            </ul>
          </details>
        </section>
        <section className="way-cautions" tabIndex={0} aria-label="Cautions for this way">
          <Cautions mix={mix} plant={bearer} technique={technique} />
        </section>
      </div>
      <Adopt
        chosen={{ basis, dates, doses: dates.map(() => ({ mix, technique })) }}
        choose={choose}
        adopting={adopting}
      />
    </>
  );
}
