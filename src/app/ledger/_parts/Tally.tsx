import { Link } from "@/ui/Link";
import { tallyKeys } from "@/core/advice/ledger/tally";
import type { LedgerView } from "@/operations/record/queries/readLedger";
import { Panel } from "@/ui/Panel";
import { dayCount } from "@/wording/dates";
import { tallyName, tallyNames } from "@/wording/record/ledger";
import { timeInWords } from "@/wording/names/walks";

/** What was found, counted; each number opens the plants behind it. */
export function Tally({ by, lines }: LedgerView) {
  const to = (key: string, what: "plants" | "finds") =>
    `/ledger/plants?by=${by}&key=${encodeURIComponent(key)}&what=${what}`;
  return (
    <Panel title="What was found, and what it took">
      <nav className="d-flex flex-wrap gap-2 mb-2" aria-label="Count by">
        {tallyKeys.map((one) => (
          <Link
            key={one}
            href={`/ledger?by=${one}`}
            className={`btn btn-${one === by ? "" : "outline-"}primary`}
            aria-current={one === by ? "true" : undefined}
          >
            {tallyNames[one]}
          </Link>
        ))}
      </nav>
      {lines.length === 0 ? (
        <p className="mb-0">Nothing recorded yet.</p>
      ) : (
        <div className="table-responsive" tabIndex={0} role="region" aria-label={tallyNames[by]}>
          <table className="table mb-0">
            <thead>
              <tr>
                <th scope="col">{tallyNames[by].replace("By ", "").replace(/^./, (c) => c.toUpperCase())}</th>
                <th scope="col">Plants</th>
                <th scope="col">Finds</th>
                <th scope="col">Days until found</th>
                <th scope="col">Time spent</th>
              </tr>
            </thead>
            <tbody>
              {lines.map(({ key, name, plantIds, finds, medianDays, minutes }) => (
                <tr key={key}>
                  <th scope="row">{tallyName(by, key, name)}</th>
                  <td>
                    <Link href={to(key, "plants")}>{plantIds.length}</Link>
                  </td>
                  <td>{finds.length === 0 ? 0 : <Link href={to(key, "finds")}>{finds.length}</Link>}</td>
                  <td>{medianDays === null ? "not known" : dayCount(Math.round(medianDays))}</td>
                  <td>{minutes === 0 ? "nothing" : timeInWords(60 * minutes)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="small mt-2 mb-0">
        Days are the median of plants with a known arrival date. Time is estimated from what you did and looked at
        during the case.
      </p>
    </Panel>
  );
}
