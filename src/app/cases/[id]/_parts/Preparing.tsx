import { Link } from "@/ui/Link";
import type { Preparation } from "@/core/advice/planning/preparation";
import { inTen } from "@/wording/advice/chances";
import { preparationNames, preparationRefusals } from "@/wording/advice/planning/preparation";

/** What hands do on the first day before any bottle is opened, in its order, and what each step adds. */
export function Preparing({ preparation, plantId }: { preparation: Preparation; plantId: string }) {
  const { without, steps, left } = preparation;
  const last = steps.at(-1);
  // Preparing that makes hardly a difference is not told.
  if (!last || last.pClean - without < 0.02) return null;
  return (
    <details className="mt-2">
      <summary>
        On the first day, before you open a bottle: from {inTen(without)} to {inTen(last.pClean)} that the looks are
        clean
      </summary>
      <ol className="mb-2 ps-3">
        {steps.map(({ id, minutes, pClean }) => (
          <li key={id}>
            {preparationNames[id]}: {minutes} min, then {inTen(pClean)}.
          </li>
        ))}
      </ol>
      {left.length > 0 && (
        <p className="mb-2">
          Left out:{" "}
          {left.map(({ id, why }) => `${preparationNames[id].toLowerCase()} (${preparationRefusals[why]})`).join("; ")}.
        </p>
      )}
      <Link className="btn btn-outline-primary" href={`/plants/${plantId}/act`}>
        Record what you did by hand
      </Link>
    </details>
  );
}
