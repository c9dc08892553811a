import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { cachedView } from "@/app/_parts/server/cachedView";
import { WalkChosen } from "@/app/walk/_parts/WalkChosen";
import { usualTool } from "@/core/record/facts/settings";
import { readAround, type AroundView } from "@/operations/cases/queries/readAround";
import { AsOf } from "@/app/_parts/AsOf";
import { Panel } from "@/ui/Panel";
import { RouteShares } from "@/ui/RouteShares";
import { PlantLine } from "@/ui/PlantLine";
import { nearnessNames, routeInWords } from "@/wording/advice/spread/carries";
import { percent } from "@/wording/advice/chances";
import { pestNames } from "@/wording/names/names";
import { timeInWords } from "@/wording/names/walks";
import { BothSchools } from "./_parts/BothSchools";

export const metadata: Metadata = { title: "Who else has it, and where it came from" };

const whyNames = {
  handled: "handled right after it",
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
        {open ? "It is being worked out; come back in a moment." : "It was not worked out while the case was open."}
      </p>
    );
  const { likeliest, routes } = origin;
  return (
    <>
      <p>
        {likeliest ? (
          <strong>
            {percent(likeliest.share)}: {routeInWords(likeliest)}.
          </strong>
        ) : (
          <strong>It cannot be told: no source stands out.</strong>
        )}
      </p>
      <RouteShares routes={routes.slice(0, 5)} describe={() => ""} />
      <p className="small mb-0">
        Assuming {pest} were there just before the find, this is how likely each source on record is. A source that is
        not on record cannot be listed.
      </p>
    </>
  );
}

export default async function AroundPage({ params }: { params: Promise<{ id: string }> }) {
  const context = await currentContext();
  const { id } = await params;
  const view = await cachedView(context, `around ${id}`, () => readAround(context, id));
  if (!view) notFound();
  const { found, plant, first } = view;
  const pest = pestNames[found.pest].toLowerCase();
  const likely = first.filter(({ p }) => p >= context.collection.riskPercent / 100);
  // Few of many are an evening's work; the others wait for their own day.
  const offered = likely.length > 0 && likely.length < first.length ? [likely, first] : [first];
  return (
    <>
      <AsOf />
      <p className="mb-0">
        <Link href={`/cases/${found.id}`}>
          {plant.code} {plant.name}: {pest}
        </Link>
      </p>
      <h1>Who else has it, and where it came from</h1>
      {!view.current && <p role="status">The find is still being worked in: the order may change in a moment.</p>}
      <div className="row gx-3">
        <div className="col-lg-7">
          <Panel title="Who to check first">
            {first.length === 0 ? (
              <p className="mb-0">No other plant is likely to have caught it.</p>
            ) : (
              <>
                <p>By how likely each is to carry {pest}; plants reached only through an open door come last.</p>
                <div className="d-flex flex-wrap gap-2 mb-2">
                  {offered.map((some, i) => (
                    <WalkChosen
                      key={some.length}
                      chosen={some.map(({ plantId }) => ({ plantId }))}
                      tool={usualTool(context.collection.owns)}
                      round="likely"
                      inOrder
                      variant={i === 0 ? "primary" : "outline-primary"}
                      label={`Check ${whom(some.length, first.length)}: ${timeInWords(60 * some.reduce((sum, { minutes }) => sum + minutes, 0))}`}
                    />
                  ))}
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
          <Panel title="Neighbours: treat or look?">
            <BothSchools caseId={found.id} />
          </Panel>
        </div>
      </div>
    </>
  );
}

/** So many of them all, as they are checked. */
function whom(some: number, all: number): string {
  if (some === all) return all === 1 ? "it" : `all ${all} in this order`;
  return some === 1 ? "the likeliest one" : `the ${some} likeliest`;
}
