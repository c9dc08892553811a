"use client";

import { useState } from "react";
import Form from "react-bootstrap/Form";
import type { CaseFileInput } from "@/core/record/format/schema";
import type { Supposition } from "@/core/advice/clearance/whatIf";
import { Panel } from "@/ui/Panel";
import { PhoneFold } from "@/ui/PhoneFold";
import { useAnswer, type ReckonerHandle } from "@/ui/reckoner/useReckoner";
import { percent } from "@/wording/advice/chances";
import { byOursSentence } from "@/wording/advice/learning";
import { SelectBox } from "@/ui/fields/SelectBox";

const nothing: Supposition = { sprayMore: false, daysLate: 0, betterReach: false, cleanLook: null };
const looks = [
  ["", "no further look"],
  ["lamp", "with a lamp"],
  ["loupe", "with lamp and loupe"],
  ["unpotted", "unpotted, over a tray"],
] as const;

/** Suppositions, and what they make of the certainty, at once. */
export function WhatIf({
  reckoner,
  file,
  byOurs,
  pClear,
}: {
  reckoner: ReckonerHandle;
  file: CaseFileInput;
  /** How likely it would be over by our estimates alone; null where the keeper's own record bears on nothing. */
  byOurs: number | null;
  pClear: number;
}) {
  const [supposed, setSupposed] = useState(nothing);
  const key = JSON.stringify(supposed);
  const { answer } = useAnswer(reckoner, (remote) => remote.whatIf(file, supposed), key);
  const set = (change: Partial<Supposition>) => setSupposed((before) => ({ ...before, ...change }));
  const treated = file.events.some((event) => event.type === "treatment");
  const shown = answer ?? pClear;
  return (
    <Panel title="What if">
      <p className="fs-5 mb-2" aria-live="polite">
        <span className="fw-semibold">{percent(shown)}</span> likely over
        {Math.abs(shown - pClear) >= 0.005 && (
          <span className="text-body-secondary"> instead of {percent(pClear)}</span>
        )}
      </p>
      {byOurs !== null && <p className="small">{byOursSentence(pClear, byOurs)}</p>}
      <PhoneFold summary="Suppose something else">
        <Form.Check
          id="what-if-spray"
          label="One more treatment today, like the last"
          disabled={!treated}
          checked={supposed.sprayMore}
          onChange={(event) => set({ sprayMore: event.target.checked })}
        />
        <Form.Check
          id="what-if-reach"
          label="Every joint swabbed after each spray"
          disabled={!treated}
          checked={supposed.betterReach}
          onChange={(event) => set({ betterReach: event.target.checked })}
        />
        <Form.Group controlId="what-if-late" className="mb-2">
          <Form.Label className="mb-1">
            Each treatment after the first came later by {supposed.daysLate} days
          </Form.Label>
          <Form.Range
            min={0}
            max={7}
            disabled={!treated}
            value={supposed.daysLate}
            onChange={(event) => set({ daysLate: Number(event.target.value) })}
          />
        </Form.Group>
        <SelectBox
          label="A look at the whole plant now finds nothing"
          value={supposed.cleanLook ?? ""}
          options={looks}
          onPick={(look) => set({ cleanLook: look || null })}
        />
      </PhoneFold>
    </Panel>
  );
}
