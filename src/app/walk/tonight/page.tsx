import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { usualTool } from "@/core/record/facts/settings";
import { readTonight, type TonightLook } from "@/operations/walks/queries/readTonight";
import { AsOf } from "@/app/_parts/AsOf";
import { cachedView } from "@/app/_parts/server/cachedView";
import { Panel } from "@/ui/Panel";
import { PhoneMore } from "@/ui/PhoneMore";
import { PlantLine } from "@/ui/PlantLine";
import { expectedCount, percent } from "@/wording/advice/chances";
import { toolNames } from "@/wording/names/names";
import { roundNames, timeInWords } from "@/wording/names/walks";
import { currentContext } from "../../_parts/server/context";
import { WalkChosen } from "../_parts/WalkChosen";

export const metadata: Metadata = { title: "Tonight’s looks" };

const CHOICES = [10, 20, 30, 45, 60, 90] as const;
const USUAL = 30;
/** Of a long evening so many are named; the walk holds them all. */
const SHOWN = 60;

const plantsInWords = (n: number) =>
  n >= 1.95 || n < 0.95 ? `${expectedCount(n)} plants` : `${expectedCount(n)} plant`;

const how = ({ way, minutes, pFind }: TonightLook) =>
  `${toolNames[way.tool].toLowerCase()}, ${roundNames[way.round].name.toLowerCase()}, ${timeInWords(60 * minutes)}; ${percent(pFind)} that it finds something`;

export default async function TonightPage({ searchParams }: { searchParams: Promise<{ minutes?: string }> }) {
  const context = await currentContext();
  const asked = Number((await searchParams).minutes);
  const minutes = CHOICES.find((one) => one === asked) ?? USUAL;
  const view = await cachedView(context, `tonight ${minutes}`, () => readTonight(context, minutes));
  return (
    <>
      <AsOf />
      <h1>Tonight’s looks</h1>
      <p>Say how long you have: these plants, this tool and these places find most in that time.</p>
      <nav className="d-flex flex-wrap gap-2 mb-3" aria-label="How long you have">
        {CHOICES.map((one) => (
          <Link
            key={one}
            href={`/walk/tonight?minutes=${one}`}
            className={`btn btn-${one === minutes ? "" : "outline-"}primary`}
            aria-current={one === minutes ? "true" : undefined}
          >
            {one} min
          </Link>
        ))}
      </nav>
      <div className="row gx-3">
        <div className="col-lg-5 order-lg-2">
          <Panel title="What to expect">
            <p>
              {expectedCount(view.carry)} of {view.plants} plants without a case are expected to carry something unseen.
            </p>
            <p>
              <strong>
                {view.looks.length === 1 ? "One look" : `${view.looks.length} looks`}, {timeInWords(60 * view.spent)}:{" "}
                {expectedCount(view.finds)} finds expected. That leaves {plantsInWords(view.leaves)} expected to carry
                something; with ten more minutes, {expectedCount(view.leavesWithMore)}.
              </strong>
            </p>
            <WalkChosen
              chosen={view.looks.map(({ card, way }) => ({ plantId: card.id, tool: way.tool, round: way.round }))}
              tool={usualTool(context.collection.owns)}
              round="likely"
              inOrder={false}
              label="Start the walk"
            />
            <p className="small mt-2 mb-0">
              They come in the order that spreads least: doubtful ones last. If you stop half-way the walk stays open.
            </p>
          </Panel>
        </div>
        <div className="col-lg-7">
          <Panel title="Which, and how">
            {view.looks.length === 0 && (
              <p className="mb-0">Nothing is worked out yet, or there are no plants. Come back in a moment.</p>
            )}
            <ul className="list-group list-group-flush">
              <PhoneMore first={10} more={`Show all ${Math.min(SHOWN, view.looks.length)}`}>
                {view.looks.slice(0, SHOWN).map((look) => (
                  <PlantLine key={look.card.id} plant={look.card} note={how(look)} />
                ))}
              </PhoneMore>
            </ul>
            {view.looks.length > SHOWN && <p className="mb-0 mt-2">And {view.looks.length - SHOWN} more.</p>}
          </Panel>
        </div>
      </div>
    </>
  );
}
