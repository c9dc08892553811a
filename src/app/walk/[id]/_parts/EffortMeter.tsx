import type { Priors } from "@/core/diagnosis/priors";
import { pestIds } from "@/core/pests/pests";
import type { Meter } from "@/core/walk/meter";
import { percent } from "@/wording/chances";
import { pestNames } from "@/wording/names";

/** A pest less likely than this is not worth a word. */
const WORTH_A_WORD = 0.05;

/** What the look is worth so far, and the likely pest that it would show least. */
export function EffortMeter({ meter, priors }: { meter: Meter; priors: Priors }) {
  const hardest = pestIds
    .filter((pest) => priors[pest] >= WORTH_A_WORD)
    .toSorted((a, b) => meter.of[a] - meter.of[b])[0];
  return (
    <div className="meter">
      <div className="meter-bar" aria-hidden>
        <div style={{ width: `${meter.shown * 100}%` }} />
      </div>
      <p className="mb-0" role="status">
        A light infestation would have shown: <strong>{percent(meter.shown)}</strong>
        {hardest && meter.shown > 0 && `; ${pestNames[hardest].toLowerCase()} only ${percent(meter.of[hardest])}`}
      </p>
    </div>
  );
}
