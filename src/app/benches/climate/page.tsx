import type { Metadata } from "next";
import Link from "next/link";
import { currentContext, markNow } from "@/app/_parts/context";
import { Live } from "@/app/_parts/Live";
import { airOf } from "@/core/climate/vapour";
import { readPaces } from "@/operations/readPaces";
import { Panel } from "@/ui/Panel";
import { pestNames } from "@/wording/names";
import { airNames, daysAbout } from "@/wording/rooms";

export const metadata: Metadata = { title: "Where the trouble will be" };

/** Doubling within so many days is fast, and shown so. */
const FAST_DAYS = 7;

/** How fast each pest doubles at each place: where the trouble will be. */
export default async function PacesPage() {
  const context = await currentContext();
  const mark = await markNow(context);
  const { pests, places } = await readPaces(context);
  const fastest = (doubling: readonly (number | null)[]) => Math.min(...doubling.map((days) => days ?? Infinity));
  const sorted = places.toSorted((a, b) => fastest(a.doubling) - fastest(b.doubling));
  return (
    <>
      <Live mark={mark} />
      <h1>Where the trouble will be</h1>
      <p>
        Days in which each pest doubles at each place, left alone, at the mean of its last two weeks. The fastest are
        set in bold.
      </p>
      <Panel title="By place">
        <div className="table-responsive" tabIndex={0} role="region" aria-label="Doubling by place and pest">
          <table className="table table-sm mb-0">
            <thead>
              <tr>
                <th scope="col">Place</th>
                <th scope="col" className="text-end">
                  °C
                </th>
                {pests.map((pest) => (
                  <th scope="col" key={pest} className="text-end">
                    {pestNames[pest]}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {sorted.map(({ id, name, meanC, deficitKpa, doubling, plants }) => (
                <tr key={id}>
                  <th scope="row">
                    <Link href={`/benches/places/${id}/climate`}>{name}</Link>
                    <div className="small fw-normal">
                      {[
                        ...(plants > 0 ? [plants === 1 ? "1 plant" : `${plants} plants`] : []),
                        ...(deficitKpa === null ? [] : [airNames[airOf(deficitKpa)]]),
                      ].join(", ")}
                    </div>
                  </th>
                  <td className="text-end">{meanC.toFixed(1)}</td>
                  {doubling.map((days, i) => (
                    <td key={pests[i]} className={`text-end ${days !== null && days <= FAST_DAYS ? "fw-bold" : ""}`}>
                      {days === null ? "–" : daysAbout(days)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Panel>
    </>
  );
}
