"use client";

import { useState } from "react";
import Form from "react-bootstrap/Form";
import { pestOf, type PestId } from "@/core/knowledge/pests/pests";
import { eggToAdultDays, stageDays } from "@/core/knowledge/pests/stageDurations";
import { penOf } from "@/ui/charts/pens";
import { dayCount } from "@/wording/dates";
import { stageNames } from "@/wording/names/names";
import { useUnits } from "@/ui/shell/Collection";
import { warmthIn } from "@/wording/units";

const SIZE = 260;
const RADIUS = 96;
const WIDTH = 34;

/** A piece of a ring between two shares of the whole turn, from the top on with the clock. */
function arc(from: number, to: number): string {
  const point = (share: number) => {
    const a = 2 * Math.PI * share - Math.PI / 2;
    return `${(SIZE / 2 + RADIUS * Math.cos(a)).toFixed(2)} ${(SIZE / 2 + RADIUS * Math.sin(a)).toFixed(2)}`;
  };
  return `M${point(from)}A${RADIUS} ${RADIUS} 0 ${to - from > 0.5 ? 1 : 0} 1 ${point(to)}`;
}

/** A life as a ring of stages, each as long as it lasts at a warmth that can be dragged. */
export function LifeRing({ pest: id, beginC }: { pest: PestId; beginC: number }) {
  const units = useUnits();
  const [meanC, setMeanC] = useState(beginC);
  const pest = pestOf(id);
  const stages = pest.stages.map((stage) => ({ id: stage.id, days: stageDays(pest, stage, meanC) }));
  const whole = stages.reduce((sum, { days }) => sum + (days ?? 0), 0);
  const grownUp = eggToAdultDays(pest, meanC);
  const ends = stages.map((_, i) => stages.slice(0, i + 1).reduce((sum, { days }) => sum + (days ?? 0), 0) / whole);
  return (
    <div>
      <svg
        className="life-ring"
        viewBox={`0 0 ${SIZE} ${SIZE}`}
        role="img"
        aria-label={`Stages at ${warmthIn(meanC, units)}: ${stages.map(({ id: stage, days }) => `${stageNames[stage]} ${days === null ? "never" : dayCount(Math.round(days))}`).join(", ")}`}
      >
        {whole > 0 ? (
          stages.map(({ id: stage }, i) => (
            <path
              key={stage}
              d={arc(i === 0 ? 0 : ends[i - 1]!, Math.min(ends[i]!, 0.99999))}
              fill="none"
              stroke={penOf(i)}
              strokeWidth={WIDTH}
            />
          ))
        ) : (
          <circle
            cx={SIZE / 2}
            cy={SIZE / 2}
            r={RADIUS}
            fill="none"
            stroke="var(--bs-border-color)"
            strokeWidth={WIDTH}
          />
        )}
        <text x={SIZE / 2} y={SIZE / 2 - 6} textAnchor="middle" className="life-ring-number">
          {grownUp === null ? "does not develop" : dayCount(Math.round(grownUp))}
        </text>
        <text x={SIZE / 2} y={SIZE / 2 + 18} textAnchor="middle">
          until adult
        </text>
      </svg>
      <ul className="case-legend" aria-hidden="true">
        {stages.map(({ id: stage, days }, i) => (
          <li key={stage}>
            <svg width="26" height="8" className="me-1">
              <line x1="0" y1="4" x2="26" y2="4" stroke={penOf(i)} strokeWidth="6" />
            </svg>
            {stageNames[stage]}: {days === null ? "does not develop" : dayCount(Math.round(days))}
          </li>
        ))}
      </ul>
      <Form.Group controlId="ring-warmth">
        <Form.Label className="fw-semibold mb-1">At {warmthIn(meanC, units)}</Form.Label>
        <Form.Range min={8} max={34} value={meanC} onChange={(event) => setMeanC(Number(event.target.value))} />
      </Form.Group>
    </div>
  );
}
