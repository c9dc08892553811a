import type { Metadata } from "next";
import Link from "next/link";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/context";
import { kept } from "@/app/_parts/kept";
import { WalkChosen } from "@/app/walk/_parts/WalkChosen";
import { usualTool } from "@/core/facts/settings";
import { readAround, type AroundView } from "@/operations/readAround";
import { AsOf } from "@/ui/AsOf";
import { Panel } from "@/ui/Panel";
import { RouteShares } from "@/ui/RouteShares";
import { PlantLine } from "@/ui/PlantLine";
import { nearnessNames, routeInWords } from "@/wording/carries";
import { percent } from "@/wording/chances";
import { pestNames } from "@/wording/names";
import { timeInWords } from "@/wording/walks";
import { BothSchools } from "./_parts/BothSchools";

export const metadata: Metadata = { title: "Who else, and where from" };

const whyNames = {
  handled: "handled after it",
  seller: "from the same seller",
  tray: "from the same delivery",
} as const;

function reasons({ why }: AroundView["first"][number]): string {
  const all = why.map((one) => (one.kind === "near" ? nearnessNames[one.nearness] : whyNames[one.kind]));
  return [...new Set(all)].join(", ");
}

function Origin({ origin, pest, open }: { origin: AroundView["origin"]; pest: string; open: boolean }) {
  if (!origin)
    return (
      <p className="mb-0">
        {open ? "It is being reckoned; come back in a moment." : "It was not reckoned while the case was open."}
      </p>
    );
  const { told, routes } = origin;
  return (
    <>
      <p>
        {told ? (
          <strong>
            {percent(told.share)}: {routeInWords(told)}.
          </strong>
        ) : (
          <strong>It cannot be told: no way stands out.</strong>
        )}
      </p>
      <RouteShares routes={routes.slice(0, 5)} told={() => ""} />
      <p className="small mb-0">
        Supposing that {pest} were there just before the find: how much each way that the record knows is to blame. What
        it does not know it cannot blame.
      </p>
    </>
  );
}

export default async function AroundPage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const { id } = await params;
  const { view, asOf } = await kept(`${context.collection.id} around ${id}`, () => readAround(context, id));
  if (!view) notFound();
  const { found, plant, first } = view;
  const pest = pestNames[found.pest].toLowerCase();
  const minutes = first.reduce((sum, line) => sum + line.minutes, 0);
  return (
    <>
      <AsOf at={asOf} timeZone={context.collection.timeZone} />
      <p className="mb-0">
        <Link href={`/cases/${found.id}`}>
          {plant.code} {plant.name}: {pest}
        </Link>
      </p>
      <h1>Who else, and where from</h1>
      {!view.current && (
        <p role="status">What a find changes is being reckoned: the order may still shift in a moment.</p>
      )}
      <div className="row gx-3">
        <div className="col-lg-7">
          <Panel title="Who first">
            {first.length === 0 ? (
              <p className="mb-0">No other plant is likely to have got them from it.</p>
            ) : (
              <>
                <p>By the chance that each carries {pest}.</p>
                <div className="mb-2">
                  <WalkChosen
                    chosen={first.map(({ plantId }) => ({ plantId }))}
                    tool={usualTool(context.collection.owns)}
                    round="likely"
                    inOrder
                    label={`Walk ${first.length === 1 ? "it" : `all ${first.length} in this order`}: ${timeInWords(60 * minutes)}`}
                  />
                </div>
                <ul className="list-group list-group-flush">
                  {first.map((line) => (
                    <PlantLine key={line.plantId} plant={line.card} note={reasons(line)}>
                      <span className="fw-semibold">{percent(line.p)}</span>
                    </PlantLine>
                  ))}
                </ul>
              </>
            )}
          </Panel>
        </div>
        <div className="col-lg-5">
          <Panel title="Where it came from">
            <Origin origin={view.origin} pest={pest} open={found.open} />
          </Panel>
          <Panel title="The neighbours: two schools">
            <BothSchools caseId={found.id} />
          </Panel>
        </div>
      </div>
    </>
  );
}
