import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { genera } from "@/core/knowledge/plants/genera";
import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { remedyIds, remedyOf, techniques, type RemedyId } from "@/core/knowledge/remedies/remedies";
import { refusals } from "@/core/advice/tolerance/mixFor";
import { sensitivitiesOf } from "@/core/knowledge/plants/care";
import { Panel } from "@/ui/Panel";
import { cautionSentences } from "@/wording/advice/cautions";
import { percent } from "@/wording/advice/chances";
import { dayCount } from "@/wording/dates";
import { remedyNames, smellNames, techniqueNames } from "@/wording/names/names";
import { hasStrengths, StrengthCurve } from "./_parts/StrengthCurve";

const remedyIn = (id: string): RemedyId | undefined => remedyIds.find((one) => one === id);

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const remedy = remedyIn((await params).id);
  return { title: remedy ? remedyNames[remedy] : "Almanac" };
}

/** Kinds that a remedy is refused on in any mix, as they usually are: neither in flower nor at rest. */
function notOn(remedy: RemedyId): string[] {
  const usual = { known: true, potCm: 12, inBud: false, inFlower: false, resting: false, reactions: [] };
  return genera
    .filter(({ name, form }: { name: string; form: GrowthFormId }) => {
      const sensitivities = sensitivitiesOf({ genus: name, growthForm: form }).map(({ id }) => id);
      return refusals(remedy, "dab", { ...usual, form, sensitivities }).length > 0;
    })
    .map(({ name }) => name);
}

/** Everything the almanac knows of one remedy. */
export default async function RemedyPage({ params }: { params: Promise<{ id: string }> }) {
  const id = remedyIn((await params).id);
  if (!id) notFound();
  const remedy = remedyOf(id);
  const refused = notOn(id);
  return (
    <>
      <h1>{remedyNames[id]}</h1>
      <p>
        Not again within {dayCount(remedy.smallestIntervalDays)}, at most {remedy.mostTimes} times;{" "}
        {smellNames[remedy.smell]}. It works while it is wet
        {remedy.afterwards ? `, and slows down survivors for ${dayCount(remedy.afterwards.days)} more` : ""}.
      </p>
      <div className="row gx-3">
        <div className="col-lg-6">
          <Panel title="What it reaches">
            <table className="table table-sm mb-2">
              <thead>
                <tr>
                  <th scope="col">Applied</th>
                  <th scope="col">open</th>
                  <th scope="col">sheltered</th>
                  <th scope="col">deep</th>
                </tr>
              </thead>
              <tbody>
                {remedy.techniques.map((technique) => (
                  <tr key={technique}>
                    <th scope="row">{techniqueNames[technique]}</th>
                    {techniques[technique].reach.map((share, site) => (
                      <td key={site}>{percent(share)}</td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="small mb-0">
              Of the animals where you treat; our own estimates. Deep: where no brush reaches.
            </p>
          </Panel>
          {hasStrengths(id) && (
            <Panel title="Strength and effect">
              <StrengthCurve remedy={id} />
              <p className="small mb-0">
                Share of adult mealybugs killed when touched; the dots are the mixes. A few drops in a bottle do next to
                nothing, however often you spray. Our own estimates.
              </p>
            </Panel>
          )}
        </div>
        <div className="col-lg-6">
          <Panel title="Before you use it">
            <ul className="mb-0 ps-3">
              {remedy.cautions.map((caution) => (
                <li key={caution}>{cautionSentences[caution]}</li>
              ))}
            </ul>
          </Panel>
          <Panel title="What does not tolerate it">
            <p className="mb-0">
              {refused.length > 0
                ? `${refused.join(", ")}.`
                : "Every plant in the table tolerates it when made weak enough."}
            </p>
          </Panel>
        </div>
      </div>
    </>
  );
}
