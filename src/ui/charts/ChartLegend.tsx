import { stageNames } from "@/wording/names/names";
import { deepPen, penOf, signs } from "./pens";

/** Which line is which, and what the signs on the time line mean. */
export function ChartLegend({ stages }: { stages: readonly string[] }) {
  return (
    <ul className="case-legend small" aria-hidden="true">
      {stages.map((stage, i) => (
        <li key={stage}>
          <svg width="26" height="8" className="me-1">
            <line x1="0" y1="4" x2="26" y2="4" stroke={penOf(i)} strokeWidth="3" />
          </svg>
          {stageNames[stage] ?? stage}
        </li>
      ))}
      <li>
        <svg width="26" height="8" className="me-1">
          <line x1="0" y1="4" x2="26" y2="4" strokeWidth="3" {...deepPen} />
        </svg>
        of these, out of reach of sprays
      </li>
      <li>{signs.treated} treated</li>
      <li>{signs.planned} planned</li>
      <li>{signs.found} found</li>
      <li>{signs.clean} looked, clean</li>
      <li>dashed: future</li>
    </ul>
  );
}
