"use client";

import { Link } from "@/ui/Link";
import Form from "react-bootstrap/Form";
import type { mixOf } from "@/core/advice/evening/bath";
import type { treatmentOf } from "@/core/advice/planning/doses";
import { timersAfter } from "@/core/acts/acts";
import { isMix, type MixId } from "@/core/knowledge/mixes/mixes";
import type { EveningLine } from "@/operations/sessions/queries/readEvening";
import { Amounts, type Measuring } from "@/ui/Amounts";
import { Panel } from "@/ui/Panel";
import { useUnits } from "@/ui/shell/Collection";
import { clockAfter, outReasonNames, outReasons, type OutReason } from "@/wording/advice/evening";
import { plannedInWords, treatmentName } from "@/wording/names/acts";
import { pestName } from "@/wording/names/names";
import { volumeIn } from "@/wording/units";

interface Props extends ReturnType<typeof mixOf> {
  what: ReturnType<typeof treatmentOf>;
  lines: readonly EveningLine[];
  measuring: Measuring;
  /** When the evening begins, and how long all of it takes. */
  from: string;
  minutes: number;
  onSkip: (line: EveningLine, reason: OutReason) => void;
}

/** What is done alike on several plants: what is mixed for it, and each of them. */
export function Batch({ what, lines, mixMl, bath, measuring, from, minutes, onSkip }: Props) {
  const units = useUnits();
  return (
    <Panel title={treatmentName(what)}>
      {isMix(what) && <Amounts mix={what as MixId} totalMl={mixMl} measuring={measuring} />}
      {bath && (
        <p className="mt-2">
          One bath of {volumeIn(bath.bathMl, units)} for all the plants you dunk.{" "}
          {bath.serves.length > 0 &&
            `What is left, strained, is enough for ${lines
              .filter(({ stepId }) => bath.serves.includes(stepId))
              .map(({ plant }) => plant.code)
              .join(", ")}, the same evening.`}
        </p>
      )}
      <ul className="list-unstyled mb-2">
        {lines.map((line) => (
          <li key={line.stepId} className="evening-line">
            <span className="box only-print" aria-hidden />
            <span className="flex-grow-1">
              <strong>
                {line.plant.code} {line.plant.name}
              </strong>
              , {line.placeName}. {plannedInWords(line.planned)}, {line.minutes} min
              {line.volumeMl > 0 && `, ${volumeIn(line.volumeMl, units)}`}, against {pestName(line.pest)}.
              {line.daysLate < 0 && " Brought forward."}
              <AfterClock line={line} from={from} minutes={minutes} />
            </span>
            <Form.Select
              size="sm"
              className="no-print w-auto"
              aria-label={`Skip ${line.plant.code}`}
              value=""
              onChange={(event) => onSkip(line, event.target.value as OutReason)}
            >
              <option value="">Skip, because …</option>
              {outReasons.map((reason) => (
                <option key={reason} value={reason}>
                  {outReasonNames[reason]}
                </option>
              ))}
            </Form.Select>
          </li>
        ))}
      </ul>
      <Link
        className="btn btn-primary no-print"
        href={`/session/due/${what}?steps=${lines.map(({ stepId }) => stepId).join(",")}`}
      >
        Start
      </Link>
    </Panel>
  );
}

/** On the sheet: until when something is waited for, by the clock, from the time at which all is done. */
function AfterClock({ line, from, minutes }: { line: EveningLine; from: string; minutes: number }) {
  const needed = timersAfter(line.act).filter(({ optional }) => !optional);
  if (needed.length === 0) return null;
  return (
    <span className="only-print">
      {needed.map(
        ({ what, minutes: long }) => ` ${what === "dark" ? "Dark" : "Fan"} until ${clockAfter(from, minutes + long)}.`,
      )}
    </span>
  );
}
