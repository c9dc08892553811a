"use client";

import Button from "react-bootstrap/Button";
import type { EveningLine } from "@/operations/sessions/queries/readEvening";
import { Panel } from "@/ui/Panel";
import { plannedInWords } from "@/wording/names/acts";
import { DelayCost } from "./DelayCost";

/** What is not done tonight, and why; each line may have a press. */
export function Aside({
  title,
  lines,
  describe,
  press,
  label,
  costs = false,
}: {
  /** Whether a day's delay can be asked about. */
  costs?: boolean;
  title: string;
  lines: readonly EveningLine[];
  describe?: (line: EveningLine) => string;
  press?: (line: EveningLine) => (() => void) | null;
  label?: string;
}) {
  if (lines.length === 0) return null;
  return (
    <Panel title={title}>
      <ul className="list-unstyled mb-0">
        {lines.map((line) => {
          const pressed = press?.(line);
          return (
            <li key={line.stepId} className="evening-line">
              <span className="flex-grow-1">
                {line.plant.code}: {describe ? describe(line) : plannedInWords(line.planned)}
                {costs && line.caseId !== null && <DelayCost caseId={line.caseId} />}
              </span>
              {pressed && (
                <Button
                  size="sm"
                  variant="outline-primary"
                  aria-label={`${label} ${line.plant.code}`}
                  onClick={pressed}
                >
                  {label}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </Panel>
  );
}
