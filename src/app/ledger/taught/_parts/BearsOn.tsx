import type { TaughtView } from "@/operations/record/queries/readTaught";
import { Link } from "@/ui/Link";
import { Panel } from "@/ui/Panel";
import { percent } from "@/wording/advice/chances";
import { twiceSentence } from "@/wording/advice/learning";
import { pestNames } from "@/wording/names/names";
import { manyInWords } from "@/wording/numbers";

/** Where there are more, those that it changes most. */
const MOST_SHOWN = 12;

/** The open cases that are judged otherwise than by our estimates alone. */
export function BearsOn({ cases }: { cases: TaughtView["bearsOn"] }) {
  if (cases.length === 0) return null;
  const changed = cases.filter(({ pClear, byOurs }) => percent(pClear) !== percent(byOurs)).slice(0, MOST_SHOWN);
  const others = cases.length - changed.length;
  return (
    <Panel title="What that changes">
      {changed.length > 0 && (
        <ul className="list-unstyled mb-0">
          {changed.map(({ caseId, code, plant, pest, ...twice }) => (
            <li key={caseId} className="mb-2">
              <Link href={`/cases/${caseId}`}>
                {code} {plant}, {pestNames[pest].toLowerCase()}
              </Link>
              : {twiceSentence(twice)}
            </li>
          ))}
        </ul>
      )}
      <p className="small mb-0">
        {others === 0
          ? ""
          : changed.length === 0
            ? `It counts in ${manyInWords(others, "open case")}, and so far agrees with our estimates there. `
            : `In ${manyInWords(others, "other open case")} it changes less. `}
        What was learned after a case began counts from the next case on.
      </p>
    </Panel>
  );
}
