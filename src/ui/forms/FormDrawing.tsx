import { useId } from "react";
import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import type { SpotId } from "@/core/knowledge/plants/spots";
import { growthFormNames, spotNames } from "@/wording/names/names";
import { drawings } from "./index";
import { potLines } from "./drawings/pot";
import type { Form, Line, Region } from "./shapes";

/** Radius of the numbers, and of what a finger meets around them, on a ground of 320. */
const NUMBER = 12;
const FINGER = 20;

interface Props {
  readonly form: GrowthFormId;
  /** Hiding places in the order in which to look; their numbers stand on the drawing. */
  readonly order: readonly SpotId[];
  readonly ticked: readonly SpotId[];
  /** Makes the places pressable. They are in the list beside it too: a keyboard goes there. */
  readonly onPress?: (spot: SpotId) => void;
}

/** A plant of this growth form, drawn in lines, with its hiding places. */
export function FormDrawing({ form, order, ticked, onPress }: Props) {
  const hatch = useId();
  const { lines, unpotted }: Pick<Form, "lines" | "unpotted"> = drawings[form];
  const regions = drawings[form].regions as Partial<Record<SpotId, Region>>;
  return (
    <svg
      className="form-drawing"
      viewBox="0 0 320 324"
      role={onPress ? "group" : "img"}
      aria-label={growthFormNames[form]}
    >
      <defs>
        <pattern id={hatch} width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="7" height="7" className="paper" />
          <path d="M0 0V7" className="hatching" />
        </pattern>
      </defs>
      <g className="lines">
        {[...(unpotted ? [] : potLines), ...lines].map((one: Line, i) => (
          <path
            key={i}
            d={one.d}
            className={[one.fill === "paper" ? "paper" : one.fill === "ink" ? "ink" : "", one.thin ? "thin" : ""].join(
              " ",
            )}
            style={one.fill === "hatch" ? { fill: `url(#${hatch})` } : undefined}
          />
        ))}
      </g>
      {order.map((spot, i) => {
        const region = regions[spot];
        if (!region) return null;
        const [x, y] = region.at;
        const on = ticked.includes(spot);
        return (
          <g
            key={spot}
            className={`place ${on ? "on" : ""}`}
            {...(onPress && {
              role: "checkbox",
              "aria-checked": on,
              "aria-label": spotNames[spot],
              tabIndex: -1,
              onClick: () => onPress(spot),
            })}
          >
            <path d={region.d} className="region" />
            {onPress && <circle cx={x} cy={y} r={FINGER} className="finger" />}
            <circle cx={x} cy={y} r={NUMBER} className="number" />
            {on ? (
              <path d={`M${x - 5} ${y}l4 4.5 6.5-8.5`} className="tick" />
            ) : (
              <text x={x} y={y} dy="0.36em" textAnchor="middle">
                {i + 1}
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
