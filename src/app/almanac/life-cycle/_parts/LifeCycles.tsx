"use client";

import { useState } from "react";
import Form from "react-bootstrap/Form";
import { trialFile } from "@/core/advice/plans/trial";
import { animalsIn, severityIds, type SeverityId } from "@/core/model/inspection/severity";
import { sitesOn } from "@/core/model/inspection/sitesOn";
import { pestIds, pestOf, type PestId } from "@/core/knowledge/pests/pests";
import { eggToAdultDays } from "@/core/knowledge/pests/stageDurations";
import { growthFormIds, type GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { percent } from "@/wording/advice/chances";
import { growthFormNames, pestNames, severityNames } from "@/wording/names/names";
import { Course, type CourseBegun } from "./Course";
import { named } from "@/ui/fields/options";
import { SelectBox } from "@/ui/fields/SelectBox";
import { useUnits } from "@/ui/shell/Collection";
import { warmthIn } from "@/wording/units";

/** A generation where it is too cold to grow, for drawing. */
const COLD_DAYS = 60;
/** So much of the shelter may lie deep, %. */
const MOST_DEEP = 60;

/** Weekly and thorough, it nearly works; a wash every few days that reaches no joint does not. */
const nearly: CourseBegun = { remedy: "alcohol", technique: "sprayAndSwab", every: 7, times: 6 };
const notEnough: CourseBegun = { remedy: "soap", technique: "spray", every: 5, times: 3 };

/** A case, and two courses against it side by side. */
export function LifeCycles() {
  const [pest, setPest] = useState<PestId>("mealybug");
  const units = useUnits();
  const [meanC, setMeanC] = useState(22);
  const [form, setForm] = useState<GrowthFormId>("trailingVine");
  const [severity, setSeverity] = useState<SeverityId>("light");
  const [typed, setDeep] = useState<number | null>(null);
  const own = sitesOn(form, pest);
  const deepShare = typed ?? own.deepShare;
  const file = trialFile({ pest, form, meanC, found: animalsIn({ severity, count: null }), deepShare });
  const generationDays = Math.ceil(eggToAdultDays(pestOf(pest), meanC) ?? COLD_DAYS);
  const course = { pest, meanC, generationDays, file };
  return (
    <>
      <div className="row gx-3">
        <div className="col-6 col-lg-2">
          <SelectBox
            label="Pest"
            value={pest}
            options={named(pestIds, pestNames)}
            onPick={(next) => {
              setPest(next);
              setDeep(null);
            }}
          />
        </div>
        <div className="col-6 col-lg-3">
          <SelectBox
            label="On"
            value={form}
            options={named(growthFormIds, growthFormNames)}
            onPick={(next) => {
              setForm(next);
              setDeep(null);
            }}
          />
        </div>
        <div className="col-6 col-lg-2">
          <SelectBox
            label="Found on day 0"
            value={severity}
            options={named(severityIds, severityNames)}
            onPick={setSeverity}
          />
        </div>
        <div className="col-6 col-lg-2">
          <Form.Group controlId="trial-warmth">
            <Form.Label className="fw-semibold mb-1">At {warmthIn(meanC, units)}</Form.Label>
            <Form.Range min={8} max={34} value={meanC} onChange={(event) => setMeanC(Number(event.target.value))} />
          </Form.Group>
        </div>
        <div className="col-12 col-lg-3">
          <Form.Group controlId="trial-deep">
            <Form.Label className="fw-semibold mb-1">Out of reach of sprays</Form.Label>
            <span className="ms-2">{percent(own.shelteredShare * deepShare)} sit there</span>
            <Form.Range
              min={0}
              max={MOST_DEEP}
              value={Math.round(deepShare * 100)}
              onChange={(event) => setDeep(Number(event.target.value) / 100)}
            />
          </Form.Group>
        </div>
      </div>
      <div className="row gx-3">
        <div className="col-lg-6">
          <Course title="Weekly and thorough" begun={nearly} {...course} />
        </div>
        <div className="col-lg-6">
          <Course title="Three washes in a fortnight" begun={notEnough} {...course} />
        </div>
      </div>
    </>
  );
}
