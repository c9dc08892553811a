"use client";

import { useMemo, useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { severityIds, severityOf, type SeverityId } from "@/core/model/inspection/severity";
import { pestOf, type PestId } from "@/core/knowledge/pests/pests";
import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { placesOfPest } from "@/core/knowledge/plants/spotWeights";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { pestNames, severityNames } from "@/wording/names/names";
import { stageLooks } from "@/wording/names/signs";
import { toggled } from "../toggled";
import { SpotsPicker } from "../forms/SpotsPicker";
import { Animal } from "../animals/Animal";

export interface FindSeen {
  readonly pest: PestId;
  readonly severity: SeverityId;
  readonly count: number | null;
  readonly removed: boolean;
  readonly spots: readonly SpotId[];
  readonly stages: readonly string[];
}

/** How many, where and which stages, all by pressing; a number may be typed. */
export function FindDetails({
  pest,
  form,
  label,
  onSave,
}: {
  pest: PestId;
  form: GrowthFormId;
  label: string;
  onSave: (seen: FindSeen) => void;
}) {
  const [severity, setSeverity] = useState<SeverityId | null>(null);
  const [count, setCount] = useState("");
  const [spots, setSpots] = useState<readonly SpotId[]>([]);
  const [stages, setStages] = useState<readonly string[]>([]);
  const [removed, setRemoved] = useState(false);
  const [problem, setProblem] = useState("");
  const order = useMemo(() => placesOfPest(form, pest), [form, pest]);
  const id = `count-${pest}`;
  const save = () => {
    const counted = count.trim() === "" ? null : Number(count);
    if (counted !== null && !(Number.isInteger(counted) && counted >= 1 && counted <= 100_000))
      return setProblem("Enter a whole number from 1 to 100000, or leave it empty.");
    if (counted === null && severity === null) return setProblem("Choose how many there are, or enter a number.");
    onSave({
      pest,
      severity: counted === null ? severity! : severityOf(counted),
      count: counted,
      removed,
      spots,
      stages,
    });
  };
  return (
    <section aria-label={pestNames[pest]}>
      <h2>{pestNames[pest]}: how many, alive?</h2>
      <div className="d-flex flex-wrap gap-2 mb-2" role="group" aria-label="How many, alive">
        {severityIds.map((one) => (
          <button
            key={one}
            type="button"
            className={`btn ${severity === one && count === "" ? "btn-primary" : "btn-outline-primary"}`}
            aria-pressed={severity === one && count === ""}
            onClick={() => {
              setSeverity(one);
              setCount("");
              setProblem("");
            }}
          >
            {severityNames[one]}
          </button>
        ))}
      </div>
      <Form.Label htmlFor={id} className="fw-semibold mb-1">
        Or the number you counted
      </Form.Label>
      <Form.Control
        id={id}
        inputMode="numeric"
        autoComplete="off"
        className="mb-2"
        value={count}
        aria-describedby={`${id}-problem`}
        onChange={(event) => setCount(event.target.value)}
      />
      <div id={`${id}-problem`} className="text-danger-emphasis fw-semibold" role={problem ? "alert" : undefined}>
        {problem}
      </div>
      <h3>Where they sit</h3>
      <SpotsPicker form={form} order={order} ticked={spots} onPress={(spot) => setSpots((all) => toggled(all, spot))} />
      <h3 className="mt-3">What you see of them</h3>
      <div className="spot-list mb-3">
        {pestOf(pest).stages.map(({ id: stage }) => (
          <button
            key={stage}
            type="button"
            className="spot"
            aria-pressed={stages.includes(stage)}
            onClick={() => setStages((all) => toggled(all, stage))}
          >
            <span className="animal-small" aria-hidden>
              <Animal pest={pest} stage={stage} bodyPx={30} />
            </span>
            {stageLooks[pest][stage]}
          </button>
        ))}
        <button type="button" className="spot" aria-pressed={removed} onClick={() => setRemoved((on) => !on)}>
          I killed all I saw on the spot
        </button>
      </div>
      <div className="sticky-press">
        <Button className="w-100 big" onClick={save}>
          {label}
        </Button>
      </div>
    </section>
  );
}
