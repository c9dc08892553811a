import type { PestId } from "@/core/knowledge/pests/pests";
import { sizeOf } from "@/core/knowledge/pests/sizes";
import { animals } from "./drawings";

/** What stands around a body of 100 units for what reaches beyond it. */
const AROUND = 40;
const ACROSS = 110;
const WIDE = 100 + 2 * AROUND;

/** One stage of a pest, drawn so that its body is `bodyPx` long. */
export function Animal({
  pest,
  stage,
  bodyPx,
  label,
}: {
  pest: PestId;
  stage: string;
  bodyPx: number;
  /** What it is; left out where words stand beside it. */
  label?: string;
}) {
  return (
    <svg
      className="animal"
      viewBox={`${-AROUND} ${-ACROSS / 2} ${WIDE} ${ACROSS}`}
      width={(WIDE * bodyPx) / 100}
      height={(ACROSS * bodyPx) / 100}
      role={label ? "img" : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
    >
      {animals[pest][stage]}
    </svg>
  );
}

/** How long a body is on the screen at its true size, px. */
export const trueBodyPx = (pest: PestId, stage: string, pxPerMm: number, times: number) =>
  sizeOf(pest, stage) * pxPerMm * times;
