import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { Fragment } from "react";
import { priorsFor } from "@/core/advice/diagnosis/priors";
import { groupOf, isBorder } from "@/core/advice/walks/order";
import { placesByRisk } from "@/core/advice/walks/places";
import { progressOf } from "@/core/advice/walks/progress";
import { dayAndYear } from "@/wording/dates";
import { pestNames, spotNames, toolNames } from "@/wording/names/names";
import { groupNames } from "@/wording/names/walks";
import { TakeCare } from "../../_parts/TakeCare";
import { walkOf } from "../../_parts/walkOf";
import { PrintPress } from "@/ui/PrintPress";

export const metadata: Metadata = { title: "Walk sheet" };

/** So many places are named on a line; the rest is looked at all the same. */
const PLACES = 4;
const papers = { a4: "A4", letter: "letter" } as const;

export default async function SheetPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ paper?: string }>;
}) {
  const { context, view } = await walkOf(params);
  const { paper } = await searchParams;
  const size = paper === "letter" ? papers.letter : papers.a4;
  const places = new Map(view.places.map((place) => [place.id, place]));
  const { toGo, found } = progressOf(view.stops, [...places.keys()], view.events);
  return (
    <div className="sheet">
      <style>{`@page { size: ${size}; margin: 12mm; }`}</style>
      <div className="no-print d-flex flex-wrap gap-2 mb-3">
        <PrintPress />
        <Link className="btn btn-outline-primary" href="?paper=a4" aria-current={size === papers.a4 || undefined}>
          A4
        </Link>
        <Link className="btn btn-outline-primary" href="?paper=letter" aria-current={size !== papers.a4 || undefined}>
          Letter
        </Link>
        <Link className="btn btn-outline-primary" href={`/walk/${view.walk.id}/enter`}>
          Enter it afterwards
        </Link>
      </div>
      <h1>Walk sheet</h1>
      <p>
        {context.collection.name}, {dayAndYear(view.walk.startedOn)}. {toolNames[view.walk.tool]}. {toGo.length} plants
        in this order. Lift and turn each; the far side too. Tick “clean” or “found”; neither means skipped.
      </p>
      <div className="table-responsive" tabIndex={0} role="region" aria-label="The sheet">
        <table>
          <thead>
            <tr>
              <th scope="col">Clean</th>
              <th scope="col">Found</th>
              <th scope="col">Plant</th>
              <th scope="col">Place</th>
              <th scope="col">Look first at</th>
              <th scope="col">What, how many, where; notes</th>
            </tr>
          </thead>
          <tbody>
            {toGo.map((stop, i) => {
              const place = places.get(stop.placeId);
              const priors = priorsFor(stop.circumstances);
              const before = toGo[i - 1] ?? null;
              return (
                <Fragment key={stop.id}>
                  {isBorder(before, stop, found) && (
                    <tr>
                      <td colSpan={6} className="sheet-border">
                        Clean hands, clean tools. Next: {groupNames[groupOf(stop, found)]}.
                      </td>
                    </tr>
                  )}
                  <tr>
                    <td>
                      <span className="box" />
                    </td>
                    <td>
                      <span className="box" />
                    </td>
                    <th scope="row">
                      {stop.code} {stop.name}
                      <TakeCare of={stop.sensitivities} />
                      {stop.scars.length > 0 && (
                        <div className="small fw-normal">
                          had {stop.scars.map((pest) => pestNames[pest].toLowerCase()).join(", ")}
                        </div>
                      )}
                    </th>
                    <td>{place?.name}</td>
                    <td>
                      {placesByRisk(stop.growthForm, priors)
                        .slice(0, PLACES)
                        .map((spot) => spotNames[spot].toLowerCase())
                        .join("; ")}
                    </td>
                    <td className="w-25" />
                  </tr>
                </Fragment>
              );
            })}
          </tbody>
        </table>
      </div>
    </div>
  );
}
