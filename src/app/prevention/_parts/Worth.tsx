import { setImmediate } from "node:timers/promises";
import { roundMixes, type RoundMixId } from "@/core/advice/seasons/prevention";
import type { PreventionView } from "@/operations/seasons/queries/readPrevention";
import { Panel } from "@/ui/Panel";
import { hoursInWords } from "@/wording/dates";
import { mixNames } from "@/wording/names/names";
import { volumeIn, type Units } from "@/wording/units";

/** What a round of each mix is worth. Between two mixes others get their turn. */
export async function Worth({ worthOf, units }: Pick<PreventionView, "worthOf"> & { units: Units }) {
  const worth: ({ readonly mix: RoundMixId } & ReturnType<PreventionView["worthOf"]>)[] = [];
  for (const mix of roundMixes) {
    await setImmediate();
    worth.push({ mix, ...worthOf(mix) });
  }
  const saved = (n: number) => (n < 0.005 ? "0" : n < 1 ? n.toFixed(2) : n.toFixed(1));
  return (
    <Panel title="One round now">
      <div className="table-responsive" tabIndex={0} role="region" aria-label="What a round is worth">
        <table className="table table-sm mb-0">
          <thead>
            <tr>
              <th scope="col">Spray with</th>
              <th scope="col">On</th>
              <th scope="col" className="text-end">
                Plants saved
              </th>
              <th scope="col" className="text-end">
                Work
              </th>
              <th scope="col" className="text-end">
                Mix
              </th>
              <th scope="col" className="text-end">
                Need care
              </th>
            </tr>
          </thead>
          <tbody>
            {worth.flatMap(({ mix, all, prone }) =>
              [["all", all] as const, ["prone", prone] as const].map(([who, worth]) => (
                <tr key={`${mix} ${who}`}>
                  <td>{who === "all" ? mixNames[mix] : ""}</td>
                  <td className="text-nowrap">
                    {who}, {worth.plants}
                  </td>
                  <td className="text-end">{saved(worth.saved)}</td>
                  <td className="text-end text-nowrap">{hoursInWords(Math.round(worth.minutes))}</td>
                  <td className="text-end text-nowrap">{volumeIn(worth.volumeMl, units)}</td>
                  <td className="text-end">{worth.withCare}</td>
                </tr>
              )),
            )}
            <tr>
              <td>Nothing</td>
              <td>none</td>
              <td className="text-end">0</td>
              <td className="text-end">0</td>
              <td className="text-end">0</td>
              <td className="text-end">0</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p className="small mt-2 mb-0">
        Plants saved: cases it is expected to prevent, including those that would catch it within four weeks. Our own
        rough estimates. Plants in flower, in a case, resting dry, with predators at work, or that do not tolerate it
        are left out.
      </p>
    </Panel>
  );
}
