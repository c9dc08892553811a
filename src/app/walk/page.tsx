import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { readWalks } from "@/operations/walks/queries/readWalks";
import type { WalkInShort } from "@/operations/walks/queries/readWalks";
import { Panel } from "@/ui/Panel";
import { dayInWords } from "@/wording/dates";
import { walkScopeNames } from "@/wording/names/walks";
import { usualTool } from "@/core/record/facts/settings";
import { AsOf } from "@/app/_parts/AsOf";
import { cachedView } from "@/app/_parts/server/cachedView";
import { currentContext, markNow } from "../_parts/server/context";
import { Live } from "../_parts/Live";
import { StartForm } from "./_parts/StartForm";

export const metadata: Metadata = { title: "Walk" };

export default async function WalkPage() {
  const context = await currentContext("see");
  const mark = await markNow(context);
  const view = await cachedView(context, "walks", () => readWalks(context));
  const placeName = new Map(view.places.map(({ place }) => [place.id, place.name]));
  const title = (walk: WalkInShort) =>
    walk.placeId ? (placeName.get(walk.placeId) ?? walkScopeNames.place) : walkScopeNames[walk.scope];
  return (
    <>
      <Live mark={mark} />
      <AsOf />
      <h1>Walk</h1>
      <p>
        Plant by plant, clean ones first, those set apart last. Have a lamp, alcohol for your hands and a clear bag
        ready.
      </p>
      {view.unfinished.length > 0 && (
        <Panel title="Continue where you left off">
          <ul className="list-group list-group-flush">
            {view.unfinished.map((walk) => (
              <li key={walk.id} className="list-group-item px-0 d-flex flex-wrap gap-3 align-items-center">
                <span className="flex-grow-1">
                  <strong>{title(walk)}</strong>, {dayInWords(walk.startedOn)}: {walk.done} of {walk.plants} done
                  {walk.finds > 0 && `, ${walk.finds} with finds`}
                </span>
                <Link className="btn btn-primary" href={`/walk/${walk.id}`}>
                  Continue
                </Link>
                <Link className="btn btn-outline-primary" href={`/walk/${walk.id}/sheet`}>
                  Sheet
                </Link>
                <Link className="btn btn-outline-primary" href={`/walk/${walk.id}/enter`}>
                  Enter a sheet
                </Link>
              </li>
            ))}
          </ul>
        </Panel>
      )}
      {view.everything > 0 && (
        <Panel title="By what finds most">
          <p>Say how many minutes you have, and get the plants, tools and places that find most in that time.</p>
          <Link className="btn btn-outline-primary" href="/walk/tonight">
            Tonight’s looks
          </Link>
        </Panel>
      )}
      <Panel title="Start a new walk">
        {view.everything === 0 ? (
          <p className="mb-0">
            No plants yet. <Link href="/plants/several">Add several</Link>, or <Link href="/plants/new">one</Link>.
          </p>
        ) : (
          <StartForm
            counts={{ due: view.due, everything: view.everything, arrivals: view.arrivals }}
            tool={usualTool(context.collection.owns)}
            places={view.places.map(({ place, plants }) => ({ id: place.id, name: place.name, plants }))}
          />
        )}
      </Panel>
      {view.ended.length > 0 && (
        <Panel title="Earlier walks">
          <ul className="list-group list-group-flush">
            {view.ended.map((walk) => (
              <li key={walk.id} className="list-group-item px-0">
                {dayInWords(walk.startedOn)}, {title(walk)}: {walk.done} of {walk.plants}
                {walk.finds > 0 ? `, ${walk.finds} with finds` : ", nothing found"}
              </li>
            ))}
          </ul>
        </Panel>
      )}
    </>
  );
}
