import type { Priors } from "@/core/advice/diagnosis/priors";
import { pestIds } from "@/core/knowledge/pests/pests";
import type { Meter } from "@/core/advice/walks/meter";
import { percent } from "@/wording/advice/chances";
import { pestNames } from "@/wording/names/names";

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
        Chance you would have seen a light infestation: <strong>{percent(meter.shown)}</strong>
        {hardest && meter.shown > 0 && `; ${pestNames[hardest].toLowerCase()} only ${percent(meter.of[hardest])}`}
      </p>
    </div>
  );
}
