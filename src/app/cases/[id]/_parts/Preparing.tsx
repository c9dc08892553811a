import Link from "next/link";
import type { Preparation } from "@/core/planning/preparation";
import { percent } from "@/wording/chances";
import { preparationNames, preparationRefusals } from "@/wording/preparation";

/** What hands do on the first day before any bottle is opened, in its order, and what each step adds. */
export function Preparing({ preparation, plantId }: { preparation: Preparation; plantId: string }) {
  const { without, steps, left } = preparation;
  const last = steps.at(-1);
  if (!last) return null;
  return (
    <details className="mb-3">
      <summary>
        Before any bottle is opened, on the first day: the likeliest plan goes from {percent(without)} to{" "}
        {percent(last.pOver)}
      </summary>
      <ol className="mb-2 ps-3">
        {steps.map(({ id, minutes, pOver }) => (
          <li key={id}>
            {preparationNames[id]}: {minutes} min, then {percent(pOver)}.
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
        Write down what you did by hand
      </Link>
    </details>
  );
}
