"use client";

import Form from "react-bootstrap/Form";
import type { Day } from "@/core/climate/days";
import type { AdoptPlan } from "@/core/facts/kinds/programme";
import { percent } from "@/wording/chances";
import { dayInWords } from "@/wording/dates";
import { schoolNames } from "@/wording/names";

export interface DatedOption {
  readonly basis: AdoptPlan["basis"];
  readonly dates: readonly Day[];
  /** What is to be expected of these dates, once it is reckoned. */
  readonly score: { readonly pOver: number; readonly by: Day } | null;
}

interface Props {
  options: readonly DatedOption[];
  basis: AdoptPlan["basis"];
  onBasis: (basis: AdoptPlan["basis"]) => void;
  own: { everyDays: string; times: string };
  onOwn: (own: { everyDays: string; times: string }) => void;
  /** What is wrong with the dates chosen, in words. */
  problem: string | undefined;
}

/** The dates to choose from for the remedy chosen, each with its score. */
export function DatesTable({ options, basis, onBasis, own, onOwn, problem }: Props) {
  return (
    <section className="mb-3">
      <h3>Dates</h3>
      <div className="list-group mb-2">
        {options.map((option) => (
          <label
            key={option.basis}
            className="list-group-item d-flex gap-3 align-items-start"
            htmlFor={`basis-${option.basis}`}
          >
            <input
              className="form-check-input mt-1"
              type="radio"
              name="basis"
              id={`basis-${option.basis}`}
              value={option.basis}
              checked={basis === option.basis}
              onChange={() => onBasis(option.basis)}
            />
            <span>
              <span className="fw-semibold d-block">{schoolNames[option.basis]}</span>
              <span className="small">
                {option.dates.length === 0 ? "No dates yet." : option.dates.map(dayInWords).join(", ")}
                {option.score && `: ${percent(option.score.pOver)} likely over by ${dayInWords(option.score.by)}.`}
              </span>
            </span>
          </label>
        ))}
      </div>
      {basis === "own" && (
        <div className="row">
          <div className="col-6 col-sm-4 mb-3">
            <Form.Label htmlFor="own-every" className="fw-semibold mb-1">
              Every so many days (1–60)
            </Form.Label>
            <Form.Control
              id="own-every"
              inputMode="numeric"
              value={own.everyDays}
              onChange={(event) => onOwn({ ...own, everyDays: event.target.value })}
            />
          </div>
          <div className="col-6 col-sm-4 mb-3">
            <Form.Label htmlFor="own-times" className="fw-semibold mb-1">
              Times (1–24)
            </Form.Label>
            <Form.Control
              id="own-times"
              inputMode="numeric"
              value={own.times}
              onChange={(event) => onOwn({ ...own, times: event.target.value })}
            />
          </div>
        </div>
      )}
      <div className="text-danger-emphasis fw-semibold" role={problem ? "alert" : undefined}>
        {problem}
      </div>
    </section>
  );
}
