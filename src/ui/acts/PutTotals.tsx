import { groupBy } from "@/core/shared/groupBy";
import type { Act } from "@/core/acts/acts";
import { mixNames } from "@/wording/names/names";
import { plantsInWords } from "@/wording/names/plants";
import { volumeIn, type Units } from "@/wording/units";

/** What is put on with acts, added up by mix, a line each; to stand in a list. */
export function PutTotals({ acts, units }: { acts: readonly Act[]; units: Units }) {
  const puts = groupBy(
    acts.flatMap((act) => (act.kind === "contact" ? [act] : [])),
    ({ mix }) => mix,
  );
  return [...puts].map(([mix, some]) => {
    const volumeMl = some.reduce((sum, one) => sum + one.volumeMl, 0);
    return (
      <li key={mix}>
        {mixNames[mix]}: {volumeIn(volumeMl, units)} for {plantsInWords(some.length)}
      </li>
    );
  });
}
