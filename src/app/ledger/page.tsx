import type { Metadata } from "next";
import Link from "next/link";
import { tallyKeys } from "@/core/ledger/tally";
import { readLedger } from "@/operations/readLedger";
import { readSigns } from "@/operations/readSigns";
import { Panel } from "@/ui/Panel";
import { percent } from "@/wording/chances";
import { suspectName } from "@/wording/names";
import { signNames } from "@/wording/signs";
import { currentContext } from "../_parts/context";
import { Tally } from "./_parts/Tally";

export const metadata: Metadata = { title: "Ledger" };

const SHOWN = 60;

export default async function LedgerPage({ searchParams }: { searchParams: Promise<{ by?: string | string[] }> }) {
  const context = await currentContext();
  const asked = (await searchParams).by;
  const by = tallyKeys.find((one) => one === asked) ?? "seller";
  const { records, looks, overruled } = await readSigns(context);
  return (
    <>
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <h1 className="me-auto">Ledger</h1>
        <Link className="btn btn-outline-primary mb-2" href="/calendar">
          Calendar, and its addresses
        </Link>
      </div>
      <Tally {...await readLedger(context, by)} />
      <Panel title="What your own finds say about the signs">
        <p>
          Naming takes from a table how often each sign goes with each pest: our own estimates. Here it stands beside
          what you found. Finds of several pests at once are left out, since their signs cannot be told apart.
        </p>
        <p>
          {looks === 0
            ? "No find has been named by its signs yet. Name one on a walk, or from a plant's page."
            : `${looks} ${looks === 1 ? "look" : "looks"} with signs; in ${overruled} of them your own word went before the odds.`}
        </p>
        {records.length > 0 && (
          <div className="table-responsive" tabIndex={0} role="region" aria-label="Signs, found and expected">
            <table className="table mb-0">
              <thead>
                <tr>
                  <th scope="col">Sign</th>
                  <th scope="col">With</th>
                  <th scope="col">There</th>
                  <th scope="col">Looked for</th>
                  <th scope="col">Table says</th>
                  <th scope="col">Compared</th>
                </tr>
              </thead>
              <tbody>
                {records.slice(0, SHOWN).map((one) => (
                  <tr key={`${one.sign} ${one.pest}`}>
                    <th scope="row">{signNames[one.sign]}</th>
                    <td>{one.pest ? suspectName(one.pest) : "No pest"}</td>
                    <td>{one.present}</td>
                    <td>{one.lookedFor}</td>
                    <td>{percent(one.expected)}</td>
                    <td>{one.differs ? "differs: your record speaks against the table" : "no contradiction"}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
      </Panel>
    </>
  );
}
