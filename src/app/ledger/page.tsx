import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import type { SuspectId } from "@/core/knowledge/signs/suspects";
import { tallyKeys } from "@/core/advice/ledger/tally";
import { readLedger } from "@/operations/record/queries/readLedger";
import { readSigns } from "@/operations/looks/queries/readSigns";
import { Span } from "@/ui/charts/Span";
import { Panel } from "@/ui/Panel";
import { suspectName } from "@/wording/names/names";
import { signNames } from "@/wording/names/signs";
import { currentContext } from "../_parts/server/context";
import { Tally } from "./_parts/Tally";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Ledger" };

const SHOWN = 60;

export default async function LedgerPage({ searchParams }: { searchParams: Promise<{ by?: string | string[] }> }) {
  const context = await currentContext();
  const asked = (await searchParams).by;
  const by = tallyKeys.find((one) => one === asked) ?? "seller";
  const [{ records, looks, overruled }, counted] = await Promise.all([
    cachedView(context, "signs", () => readSigns(context)),
    cachedView(context, `ledger ${by}`, () => readLedger(context, by)),
  ]);
  const compared = records.filter(({ differs }) => differs !== null);
  const few = records.filter(({ differs }) => differs === null);
  return (
    <>
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <h1 className="me-auto">Ledger</h1>
        <Link className="btn btn-outline-primary mb-2" href="/ledger/year">
          The year
        </Link>
        <Link className="btn btn-outline-primary mb-2" href="/ledger/taught">
          What your record has taught
        </Link>
        <Link className="btn btn-outline-primary mb-2" href="/calendar">
          Calendar and its links
        </Link>
      </div>
      <AsOf />
      <Tally {...counted} />
      <Panel title="What your own finds say about the signs">
        <p>
          Naming a pest uses a table of how often each sign goes with each pest: our own estimates. Here you see it next
          to what you found. Finds of several pests at once are left out, because their signs cannot be told apart.
        </p>
        <p>
          {looks === 0
            ? "No find has been named by its signs yet. Name one on a walk or from a plant's page."
            : `${looks} ${looks === 1 ? "look" : "looks"} with signs; in ${overruled} of them you overruled the odds.`}
        </p>
        {compared.length > 0 && (
          <div className="table-responsive" tabIndex={0} role="region" aria-label="Signs, found and expected">
            <table className="table mb-2 align-middle">
              <thead>
                <tr>
                  <th scope="col">Sign</th>
                  <th scope="col">With</th>
                  <th scope="col">Your looks, and the table’s chance</th>
                  <th scope="col">Compared</th>
                </tr>
              </thead>
              <tbody>
                {compared.slice(0, SHOWN).map(({ sign, pest, present, expected, differs }) => (
                  <tr key={`${sign} ${pest}`}>
                    <th scope="row">{signNames[sign]}</th>
                    <td>{withWhom(pest)}</td>
                    <td>
                      <Span counted={present} told={expected} />
                    </td>
                    <td>{differs ? "differs: your record contradicts the table" : "agrees so far"}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="small">
              The bar shows where the true share lies nineteen times in twenty, the mark your count, the diamond the
              table.
            </p>
          </div>
        )}
        {few.length > 0 && (
          <details>
            <summary>{few.length === 1 ? "One sign" : `${few.length} signs`} looked for too seldom to compare</summary>
            <ul className="small mb-0">
              {few.slice(0, SHOWN).map(({ sign, pest, present }) => (
                <li key={`${sign} ${pest}`}>
                  {signNames[sign]}, with {withWhom(pest).toLowerCase()}: {present.hits} of {present.of}
                </li>
              ))}
            </ul>
          </details>
        )}
      </Panel>
    </>
  );
}

const withWhom = (pest: SuspectId | null) => (pest ? suspectName(pest) : "No pest");
