import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { Live } from "@/app/_parts/Live";
import { growthOf } from "@/core/advice/seasons/developmentRate";
import { airOf } from "@/core/climate/vapour";
import { readPaces } from "@/operations/sessions/queries/readPaces";
import { Panel } from "@/ui/Panel";
import { pestNames } from "@/wording/names/names";
import { airNames, daysAbout } from "@/wording/advice/seasons/seasons";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";
import { toFahrenheit } from "@/core/units/temperature";

export const metadata: Metadata = { title: "Where trouble is likely" };

/** How fast each pest doubles at each place: where the trouble will be. */
export default async function PacesPage() {
  const context = await currentContext();
  const { units } = context.collection;
  const mark = await markNow(context);
  const { pests, places } = await cachedView(context, "paces", () => readPaces(context));
  const fastest = (doubling: readonly (number | null)[]) => Math.min(...doubling.map((days) => days ?? Infinity));
  const sorted = places.toSorted((a, b) => fastest(a.doubling) - fastest(b.doubling));
  return (
    <>
      <Live mark={mark} />
      <h1>Where trouble is likely</h1>
      <AsOf />
      <p>
        Days in which each pest would double at each place if left alone, at the average of the last two weeks. The
        fastest are in bold; a dash: it hardly develops there.
      </p>
      <Panel title="By place">
        <div className="table-responsive" tabIndex={0} role="region" aria-label="Doubling by place and pest">
          <table className="table table-sm mb-0">
            <thead>
              <tr>
                <th scope="col">Place</th>
                <th scope="col" className="text-end">
                  {units === "us" ? "°F" : "°C"}
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
                  <td className="text-end">{units === "us" ? Math.round(toFahrenheit(meanC)) : meanC.toFixed(1)}</td>
                  {doubling.map((days, i) => (
                    <td key={pests[i]} className={`text-end ${growthOf(days) === "fast" ? "fw-bold" : ""}`}>
                      {days === null || growthOf(days) === "still" ? "–" : daysAbout(days)}
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
