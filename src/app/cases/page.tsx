import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { readCases } from "@/operations/cases/queries/readCases";
import { today } from "@/operations/shared/context";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { dayAndYear, dayInWords, fromToday } from "@/wording/dates";
import { outcomeNames, pestNames } from "@/wording/names/names";
import { AsOf } from "@/app/_parts/AsOf";
import { cachedView } from "@/app/_parts/server/cachedView";
import { currentContext } from "../_parts/server/context";

export const metadata: Metadata = { title: "Cases" };

export default async function CasesPage() {
  const context = await currentContext();
  const view = await cachedView(context, "cases", () => readCases(context));
  const day = today(context);
  return (
    <>
      <AsOf />
      <h1>Cases</h1>
      <Panel title={view.open.length === 0 ? "No open cases" : `Open: ${view.open.length}`}>
        <ul className="list-group list-group-flush">
          {view.open.map(({ found, plant, planned, next }) => (
            <PlantLine
              key={found.id}
              plant={plant}
              note={`${pestNames[found.pest].toLowerCase()} since ${dayInWords(found.openedOn)}`}
            >
              <span>
                {!planned && "no plan yet"}
                {planned && next && `treat ${fromToday(next.on, day)}`}
                {planned && !next && "treated as planned: look"}
              </span>
              <Link
                className="btn btn-outline-primary"
                href={`/cases/${found.id}`}
                aria-label={`Open the case of ${plant.code}`}
              >
                Open
              </Link>
            </PlantLine>
          ))}
        </ul>
      </Panel>
      {view.closed.length > 0 && (
        <Panel title="Recently closed">
          <ul className="list-group list-group-flush">
            {view.closed.map(({ id, pest, plant, outcome, closedOn }) => (
              <PlantLine
                key={id}
                plant={plant}
                note={`${pestNames[pest].toLowerCase()}: ${outcomeNames[outcome].toLowerCase()} on ${dayAndYear(closedOn)}`}
              >
                <Link
                  className="btn btn-outline-primary"
                  href={`/cases/${id}`}
                  aria-label={`Open the case of ${plant.code}`}
                >
                  Open
                </Link>
              </PlantLine>
            ))}
          </ul>
        </Panel>
      )}
    </>
  );
}
