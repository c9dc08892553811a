import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { pestIds } from "@/core/knowledge/pests/pests";
import { growthFormIds, spotsOf, type GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { shelteredShare, spotWeights } from "@/core/knowledge/plants/spotWeights";
import { spots } from "@/core/knowledge/plants/spots";
import { FormDrawing } from "@/ui/forms/FormDrawing";
import { Panel } from "@/ui/Panel";
import { percent } from "@/wording/advice/chances";
import { growthFormNames, pestNames, spotNames } from "@/wording/names/names";

export const metadata: Metadata = { title: "Hiding places" };

const isForm = (value: string | undefined): value is GrowthFormId => growthFormIds.includes(value as GrowthFormId);

export default async function HidingPlacesPage({ searchParams }: { searchParams: Promise<{ form?: string }> }) {
  const { form: asked } = await searchParams;
  const form = isForm(asked) ? asked : growthFormIds[0];
  const order = spotsOf(form);
  const weights = new Map(
    pestIds.map((pest) => [pest, new Map(spotWeights(form, pest).map((spot) => [spot.id, spot.weight]))]),
  );
  return (
    <>
      <h1>Hiding places</h1>
      <p>
        Where each pest sits, by growth form, in the order you look: from the inside outwards, the pot last. The shares
        are our own estimates.
      </p>
      <Panel title={growthFormNames[form]}>
        <div className="row gx-4">
          <div className="col-xxl-4">
            <FormDrawing form={form} order={order} ticked={[]} />
            <p className="small">Hatched: the underside. The window in the pot shows the roots.</p>
          </div>
          <div className="col-xxl-8">
            <div className="table-responsive" tabIndex={0} role="region" aria-label="Shares by place">
              <table className="table mb-0">
                <thead>
                  <tr>
                    <th scope="col">Place</th>
                    {pestIds.map((pest) => (
                      <th scope="col" key={pest}>
                        {pestNames[pest]}
                      </th>
                    ))}
                  </tr>
                </thead>
                <tbody>
                  {order.map((spot, i) => (
                    <tr key={spot}>
                      <th scope="row">
                        {i + 1} {spotNames[spot]}
                        {spots[spot].sheltered && <span className="small fw-normal"> sheltered</span>}
                      </th>
                      {pestIds.map((pest) => {
                        const weight = weights.get(pest)!.get(spot) ?? 0;
                        return <td key={pest}>{weight > 0 ? percent(weight) : "–"}</td>;
                      })}
                    </tr>
                  ))}
                  <tr>
                    <th scope="row">Hard for a spray to reach</th>
                    {pestIds.map((pest) => (
                      <td key={pest} className="fw-semibold">
                        {percent(shelteredShare(form, pest))}
                      </td>
                    ))}
                  </tr>
                </tbody>
              </table>
            </div>
          </div>
        </div>
      </Panel>
      <Panel title="All growth forms">
        <ul className="row list-unstyled mb-0">
          {growthFormIds.map((one) => (
            <li key={one} className="col-6 col-md-3 col-xl-2 mb-3">
              <Link href={`?form=${one}`} aria-current={one === form || undefined} className="d-block text-center">
                <FormDrawing form={one} order={[]} ticked={[]} />
                {growthFormNames[one]}
              </Link>
            </li>
          ))}
        </ul>
      </Panel>
    </>
  );
}
