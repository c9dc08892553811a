import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { lookAlikeIds, lookAlikes } from "@/core/knowledge/signs/lookAlikes";
import { likelihoodOf, seenSignIds, type SignId } from "@/core/knowledge/signs/signs";
import { pestIds, pestOf, phaseOf, type PestId, type Phase } from "@/core/knowledge/pests/pests";
import { genera } from "@/core/knowledge/plants/genera";
import { spotIds, spots, type Spot } from "@/core/knowledge/plants/spots";
import { killOf, remedyIds, remedyOf } from "@/core/knowledge/remedies/remedies";
import { readPestHistory } from "@/operations/cases/queries/readPestHistory";
import { Panel } from "@/ui/Panel";
import { signDrawings } from "@/ui/signs/drawings";
import { percent } from "@/wording/advice/chances";
import { outcomeNames, pestNames, remedyNames, spotNames } from "@/wording/names/names";
import { signNames } from "@/wording/names/signs";
import { LifeRing } from "./_parts/LifeRing";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";
import { LookAlikes } from "@/ui/animals/lookAlikes";
import { Stages } from "@/ui/animals/Stages";

/** A sign that is there this often with a pest tells of it. */
const TELLS_FROM = 0.6;
const HIDES_IN = 5;
const USUAL_C = 22;
const phases: readonly Phase[] = ["egg", "young", "adult"];
const phaseNames: Record<Phase, string> = { egg: "eggs", young: "young", adult: "adults" };

const pestIn = (id: string): PestId | undefined => pestIds.find((one) => one === id);

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const pest = pestIn((await params).id);
  return { title: pest ? pestNames[pest] : "Almanac" };
}

/** Everything the almanac knows of one pest, and what the collection's own record says of it. */
export default async function PestPage({ params }: { params: Promise<{ id: string }> }) {
  const pest = pestIn((await params).id);
  if (!pest) notFound();
  const context = await currentContext();
  const history = await cachedView(context, `history ${pest}`, () => readPestHistory(context, pest));
  const { stages } = pestOf(pest);
  const telling: SignId[] = seenSignIds.filter((sign) => likelihoodOf(sign, pest) >= TELLS_FROM);
  const alike = lookAlikeIds.filter((id) => lookAlikes[id].of.some((sign) => telling.includes(sign)));
  const hides = spotIds
    .map((id) => ({ id, weight: (spots[id] as Spot).weight[pest] ?? 0, deep: (spots[id] as Spot).deep }))
    .toSorted((a, b) => b.weight - a.weight)
    .slice(0, HIDES_IN);
  const prone = genera.filter((genus) => genus.prone.includes(pest)).map(({ name }) => name);
  const { clear, givenUp, lost } = history.ended;
  const closed = clear + givenUp + lost;
  return (
    <>
      <h1>{pestNames[pest]}</h1>
      <AsOf />
      <Panel title="The animal, stage by stage">
        <Stages pest={pest} />
      </Panel>
      {alike.length > 0 && (
        <Panel title="Mistaken for it">
          <LookAlikes ids={alike} />
        </Panel>
      )}
      <div className="row gx-3">
        <div className="col-lg-4">
          <Panel title="A life, to scale">
            <LifeRing pest={pest} beginC={Math.round(history.meanC ?? USUAL_C)} />
            <p className="small mb-0">
              From degree-days above its own threshold; from the literature, on the slow side, since house plants are
              poor hosts.
            </p>
          </Panel>
        </div>
        <div className="col-lg-4">
          <Panel title="Signs of it">
            <ul className="list-unstyled mb-0">
              {telling.map((sign) => (
                <li key={sign} className="d-flex gap-2 align-items-center mb-1">
                  <svg viewBox="0 0 48 48" width="40" height="40" className="sign-drawing flex-shrink-0" aria-hidden>
                    <path d={signDrawings[sign]} />
                  </svg>
                  <span>{signNames[sign]}</span>
                </li>
              ))}
            </ul>
          </Panel>
          <Panel title="Where it hides">
            <ol className="mb-2 ps-3">
              {hides.map(({ id, weight, deep }) => (
                <li key={id}>
                  {spotNames[id]}: {percent(weight)}
                  {deep > 0 && `, ${percent(deep)} of them out of reach of sprays`}
                </li>
              ))}
            </ol>
            <Link href="/almanac/hiding-places">See every growth form</Link>
          </Panel>
        </div>
        <div className="col-lg-4">
          <Panel title="What has worked here">
            <p>
              {closed === 0
                ? "No case of it has been closed in your collection yet."
                : `Of ${closed} closed ${closed === 1 ? "case" : "cases"}: ${[
                    clear > 0 && `${clear} ${outcomeNames.clear.toLowerCase()}`,
                    givenUp > 0 && `${givenUp} ${outcomeNames.givenUp.toLowerCase()}`,
                    lost > 0 && `${lost} ${outcomeNames.lost.toLowerCase()}`,
                  ]
                    .filter(Boolean)
                    .join(", ")}.`}{" "}
              {history.clearWith.length > 0 &&
                `Clear with: ${history.clearWith.map(({ remedy, cases }) => `${remedyNames[remedy].toLowerCase()} (${cases})`).join(", ")}.`}
            </p>
            <table className="table table-sm mb-0">
              <caption className="visually-hidden">Share killed of those a remedy touches</caption>
              <thead>
                <tr>
                  <th scope="col">Killed when touched</th>
                  {phases
                    .filter((phase) => stages.some((stage) => phaseOf(stage) === phase))
                    .map((phase) => (
                      <th scope="col" key={phase}>
                        {phaseNames[phase]}
                      </th>
                    ))}
                </tr>
              </thead>
              <tbody>
                {remedyIds.map((remedy) => (
                  <tr key={remedy}>
                    <th scope="row">
                      <Link href={`/almanac/remedies/${remedy}`}>{remedyNames[remedy]}</Link>
                    </th>
                    {phases
                      .filter((phase) => stages.some((stage) => phaseOf(stage) === phase))
                      .map((phase) => {
                        const stage = stages.findLast((one) => phaseOf(one) === phase)!;
                        const meets = remedyOf(remedy).actsIn.includes(stage.where);
                        return (
                          <td key={phase}>{meets ? percent(killOf(remedy, pest, stage).likely) : "not reached"}</td>
                        );
                      })}
                  </tr>
                ))}
              </tbody>
            </table>
          </Panel>
        </div>
      </div>
      <Panel title="Plants that get it most">
        <p className="mb-0">{prone.length > 0 ? prone.join(", ") : "None that growers agree on."}</p>
      </Panel>
    </>
  );
}
