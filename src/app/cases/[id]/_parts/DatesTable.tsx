"use client";

import Form from "react-bootstrap/Form";
import type { UseFormReturn } from "react-hook-form";
import type { z } from "zod";
import { addDays, type Day } from "@/core/climate/days";
import type { AdoptPlan, adoptPlan } from "@/core/facts/deeds";
import type { Proposal } from "@/core/planning/proposal";
import { dayInWords } from "@/wording/dates";
import { schoolNames } from "@/wording/names";
import { boundSentences, limitSentences } from "@/wording/planning";

export interface DatedOption {
  readonly basis: AdoptPlan["basis"];
  /** Counted from the first treatment. */
  readonly days: readonly number[];
}

interface Props {
  form: UseFormReturn<z.input<typeof adoptPlan>>;
  options: readonly DatedOption[];
  proposal: Proposal;
  first: string;
  onFirst: (first: string) => void;
  own: { everyDays: string; times: string };
  onOwn: (own: { everyDays: string; times: string }) => void;
  start: Day | null;
}

/** The dates to choose from, side by side, with the two bounds anyone can check by hand. */
export function DatesTable({ form, options, proposal, first, onFirst, own, onOwn, start }: Props) {
  const chosen = form.watch("basis");
  const errors = form.formState.errors.dates;
  const problem = start === null ? "Write a day of the calendar." : (errors?.message ?? errors?.root?.message);
  return (
    <section className="mb-3">
      <h2>Dates</h2>
      <ul className="ps-3">
        {[...boundSentences(proposal.bounds), ...proposal.limits.map((limit) => limitSentences[limit])].map(
          (sentence) => (
            <li key={sentence}>{sentence}</li>
          ),
        )}
      </ul>
      <div className="row">
        <div className="col-sm-4 mb-3">
          <Form.Label htmlFor="first-day" className="fw-semibold mb-1">
            First treatment
          </Form.Label>
          <Form.Control id="first-day" type="date" value={first} onChange={(event) => onFirst(event.target.value)} />
        </div>
        {chosen === "own" && (
          <>
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
          </>
        )}
      </div>
      <div className="list-group">
        {options.map(({ basis, days }) => (
          <label key={basis} className="list-group-item d-flex gap-3 align-items-start" htmlFor={`basis-${basis}`}>
            <input
              className="form-check-input mt-1"
              type="radio"
              id={`basis-${basis}`}
              value={basis}
              {...form.register("basis")}
            />
            <span>
              <span className="fw-semibold d-block">{schoolNames[basis]}</span>
              <span className="small">
                {days.length === 0 && "Choose how often and how many times."}
                {start !== null && days.map((d) => dayInWords(addDays(start, d))).join(", ")}
              </span>
            </span>
          </label>
        ))}
      </div>
      <div className="text-danger-emphasis fw-semibold" role={problem ? "alert" : undefined}>
        {problem}
      </div>
    </section>
  );
}
