import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { Panel } from "@/ui/Panel";
import { methodParts, trialKeepers, trials } from "@/wording/advice/planning/method";

export const metadata: Metadata = { title: "How it is worked out" };

/** How it is reckoned, in plain words: what is from where, and how often it was right in trials. */
export default function MethodPage() {
  return (
    <>
      <p className="mb-0">
        <Link href="/almanac">Almanac</Link>
      </p>
      <h1>How it is worked out</h1>
      <div className="row gx-3">
        <div className="col-lg-6">
          {methodParts.map(({ title, paragraphs }) => (
            <Panel key={title} title={title}>
              {paragraphs.map((paragraph) => (
                <p key={paragraph} className="mb-2">
                  {paragraph}
                </p>
              ))}
            </Panel>
          ))}
        </div>
        <div className="col-lg-6">
          <Panel title="How often it was right">
            <p>
              {trialKeepers} simulated keepers in each row found a pest, followed the proposed plan or stopped half-way,
              and looked weekly. The figures say how often the pest really was gone when the rule let them call it
              clear. The first row is a world that matches our estimates; in the others our estimates are wrong.
            </p>
            <div className="table-responsive" tabIndex={0} role="region" aria-label="How often it was right">
              <table className="table table-sm mb-0">
                <thead>
                  <tr>
                    <th scope="col">The world</th>
                    <th scope="col" className="text-end">
                      Followed the plan
                    </th>
                    <th scope="col" className="text-end">
                      Stopped half-way
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {trials.map(({ world, followed, stopped }) => (
                    <tr key={world}>
                      <th scope="row" className="fw-normal">
                        {world}
                      </th>
                      <td className="text-end">{followed.toFixed(1)} %</td>
                      <td className="text-end">{stopped.toFixed(1)} %</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </div>
          </Panel>
        </div>
      </div>
    </>
  );
}
