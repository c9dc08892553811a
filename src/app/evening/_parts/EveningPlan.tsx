"use client";

import { useState } from "react";
import Button from "react-bootstrap/Button";
import Form from "react-bootstrap/Form";
import { mixOf } from "@/core/advice/evening/bath";
import { chooseEvening, SET_UP_MINUTES, weightOf, MOST_DRYING } from "@/core/advice/evening/choose";
import { eveningBegins, eveningMinutes, isOver, isUsual } from "@/core/advice/evening/hours";
import { mustWait } from "@/core/advice/evening/wait";
import { timersAfter } from "@/core/acts/acts";
import { groupBy } from "@/core/shared/groupBy";
import { treatmentOf } from "@/core/advice/planning/doses";
import type { EveningLine, EveningView } from "@/operations/sessions/queries/readEvening";
import type { Measuring } from "@/ui/Amounts";
import { Panel } from "@/ui/Panel";
import { clockAfter, outReasonNames, waitSentence, waitsFor, type OutReason } from "@/wording/advice/evening";
import { plannedInWords } from "@/wording/names/acts";
import { volumeIn } from "@/wording/units";
import { dayAndYear, hoursInWords } from "@/wording/dates";
import { Aside } from "./Aside";
import { Batch } from "./Batch";
import { OwnTimer } from "./OwnTimer";
import { useKept } from "./useKept";
import { useUnits } from "@/ui/shell/Collection";

const batchOf = ({ planned }: EveningLine) => treatmentOf(planned);
/** A fan and a place to dry is needed by whatever wets the plant. */
const wets = ({ act }: EveningLine) => timersAfter(act).some(({ what }) => what === "fan");

interface Props {
  view: EveningView;
  measuring: Measuring;
  collection: string;
  /** What the clock of the collection's zone shows now, `HH:MM`. */
  clock: string;
}

/** An evening's work: what fits into its hours and its drying places, batch by batch, with everything that is mixed for it. */
export function EveningPlan({ view, measuring, collection, clock }: Props) {
  const units = useUnits();
  const [usual, setUsual] = useKept("evening from", "18:00");
  const [typed, setTyped] = useState<string | null>(null);
  const [until, setUntil] = useKept("evening until", "22:00");
  const from = typed ?? eveningBegins(clock, { usual, until });
  const setFrom = (next: string) => {
    setTyped(next);
    if (isUsual(next)) setUsual(next);
  };
  const [pots, setPots] = useKept("evening drying", "12");
  // Left out tonight, each with the reason that only its keeper sees.
  const [out, setOut] = useState<ReadonlyMap<string, OutReason>>(new Map());
  const [forward, setForward] = useState<ReadonlySet<string>>(new Set());
  const [paper, setPaper] = useState("A4");
  const minutes = eveningMinutes(from, until);
  const dryingPots = Math.min(MOST_DRYING, Math.max(0, Math.floor(Number(pots) || 0)));
  const waiting = view.lines.map((line) => ({ line, why: mustWait(line, view.day) }));
  const able = waiting.flatMap(({ line, why }) => (why.length === 0 ? [line] : []));
  const later = able.filter(({ stepId, daysLate }) => daysLate < 0 && !forward.has(stepId));
  const asked = able.filter((line) => !later.includes(line) && !out.has(line.stepId));
  const plan = chooseEvening(
    asked.map((line) => ({
      id: line.stepId,
      batch: batchOf(line),
      minutes: line.minutes,
      wets: wets(line),
      weight: weightOf(line.daysLate),
    })),
    { minutes, dryingPots, setUpMinutes: SET_UP_MINUTES },
  );
  const chosen = asked.filter(({ stepId }) => plan.chosen.includes(stepId));
  const batches = [...groupBy(chosen, batchOf)].map(([what, lines]) => ({ what, lines, ...mixOf(lines) }));
  const toggle = (all: ReadonlySet<string>, id: string) =>
    new Set(all.has(id) ? [...all].filter((one) => one !== id) : [...all, id]);
  return (
    <>
      <style>{`@page { size: ${paper}; margin: 12mm; }`}</style>
      <h1>
        This evening
        <span className="only-print">
          , {collection}, {dayAndYear(view.day)}
        </span>
      </h1>
      {view.lines.length === 0 && <p className="fs-5">Nothing is due tonight or in the next two days.</p>}
      {isOver(clock, { usual, until }) && typed === null && (
        <p className="no-print mb-1">It is past {until}: this is planned for the next evening.</p>
      )}
      {view.lines.length > 0 && (
        <p className="fs-5" aria-live="polite">
          {chosen.length === 0
            ? "Nothing fits in that time."
            : `${chosen.length === 1 ? "One plant" : `${chosen.length} plants`}, ${hoursInWords(plan.minutes)}, ${volumeIn(
                batches.reduce((sum, { mixMl }) => sum + mixMl, 0),
                units,
              )} in all: done by ${clockAfter(from, plan.minutes)}.`}
          {plan.left.length > 0 && ` ${waitsFor(plan.left)}`}
        </p>
      )}
      <div className="row gx-3">
        <div className="col-lg-8">
          {batches.map(({ what, lines, mixMl, bath }) => (
            <Batch
              key={what}
              {...{ what, lines, mixMl, bath, measuring, from }}
              minutes={plan.minutes}
              onSkip={(line, reason) => setOut((all) => new Map([...all, [line.stepId, reason]]))}
            />
          ))}
        </div>
        <div className="col-lg-4 no-print">
          <Panel title="The evening">
            <div className="row gx-2">
              <Time id="evening-from" label="From" value={from} onChange={setFrom} />
              <Time id="evening-until" label="Until" value={until} onChange={setUntil} />
            </div>
            <Form.Group controlId="evening-pots" className="mb-2">
              <Form.Label className="fw-semibold mb-1">Pots that can dry at the same time</Form.Label>
              <Form.Control inputMode="numeric" value={pots} onChange={(event) => setPots(event.target.value)} />
            </Form.Group>
            <p className="small">Spray with sun and lamps off: start at dusk.</p>
            <div className="d-flex flex-wrap gap-2">
              <Button onClick={() => print()}>Print the sheet</Button>
              {(["A4", "letter"] as const).map((size) => (
                <Button key={size} variant="outline-primary" active={paper === size} onClick={() => setPaper(size)}>
                  {size === "A4" ? "A4" : "Letter"}
                </Button>
              ))}
            </div>
          </Panel>
          <OwnTimer />
          <Aside
            title="Left for another evening"
            lines={[
              ...asked.filter(({ stepId }) => plan.left.some(({ id }) => id === stepId)),
              ...able.filter(({ stepId }) => out.has(stepId)),
            ]}
            describe={(line) => {
              const reason = out.get(line.stepId);
              return `${plannedInWords(line.planned)}${reason ? `: ${outReasonNames[reason].toLowerCase()}` : ""}`;
            }}
            press={(line) =>
              out.has(line.stepId)
                ? () => setOut((all) => new Map([...all].filter(([stepId]) => stepId !== line.stepId)))
                : null
            }
            label="Add it back"
            costs
          />
          <Aside
            title="Could be done early"
            lines={later}
            press={(line) => () => setForward((all) => toggle(all, line.stepId))}
            label="Tonight too"
          />
          <Aside
            title="Has to wait"
            lines={waiting.flatMap(({ line, why }) => (why.length > 0 ? [line] : []))}
            describe={(line) => mustWait(line, view.day).map(waitSentence).join("; ")}
          />
        </div>
      </div>
    </>
  );
}

function Time({
  id,
  label,
  value,
  onChange,
}: {
  id: string;
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <Form.Group controlId={id} className="col-6 mb-2">
      <Form.Label className="fw-semibold mb-1">{label}</Form.Label>
      <Form.Control type="time" value={value} onChange={(event) => onChange(event.target.value || value)} />
    </Form.Group>
  );
}
