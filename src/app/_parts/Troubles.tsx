import type { Trouble } from "@/operations/shared/fence";
import { troubleSentence } from "@/wording/record/troubles";
import { wallTimeIn } from "@/zones";

/** What could not be done by itself for this collection, and why: on each of its pages, until it has been done again. */
export function Troubles({ all, timeZone }: { all: readonly Trouble[]; timeZone: string }) {
  // A backup that is missing is told on Today, by its age.
  const shown = all.filter(({ work }) => work !== "backup");
  if (shown.length === 0) return null;
  return (
    <div className="alert alert-warning py-2" role="status">
      {shown.map(({ work, since, why }) => (
        <p key={work} className="mb-1">
          {troubleSentence(work)} (since {wallTimeIn(since, timeZone).replace("T", ", ")}: {why})
        </p>
      ))}
    </div>
  );
}
