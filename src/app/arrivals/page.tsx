import type { Metadata } from "next";
import Link from "next/link";
import { groupBy } from "@/core/groupBy";
import { readArrivals, type ArrivalLine } from "@/operations/readArrivals";
import { AsOf } from "@/ui/AsOf";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { dayInWords } from "@/wording/dates";
import { percent } from "@/wording/chances";
import { currentContext } from "../_parts/context";
import { kept } from "../_parts/kept";

export const metadata: Metadata = { title: "Arrivals" };

/** What a new plant needs next, in one line. */
function next({ steps, carries, placeName }: ArrivalLine): string {
  const { inspectedOn, washedOn, cleanLooks, needed } = steps;
  const back = carries?.waysBack?.find(({ way }) => way === "usual") ?? carries?.waysBack?.[0];
  const parts = [
    placeName,
    inspectedOn === null ? "not inspected at the door" : "",
    washedOn === null ? "not washed" : `washed on ${dayInWords(washedOn)}`,
    `${Math.min(cleanLooks, needed)} of ${needed} clean looks`,
    carries ? `${percent(carries.p)} that it carries something` : "",
    back
      ? `may join on ${dayInWords(back.looks.at(-1)!)}, if it is ${washedOn === null ? "washed and " : ""}clean at each look until then`
      : "",
  ];
  return parts.filter((part) => part !== "").join("; ");
}

export default async function ArrivalsPage() {
  const context = await currentContext();
  const { view, asOf } = await kept(`${context.collection.id} arrivals`, () => readArrivals(context));
  const bySeller = groupBy(view, ({ seller }) => seller);
  return (
    <>
      <AsOf at={asOf} timeZone={context.collection.timeZone} />
      <div className="d-flex flex-wrap gap-2 align-items-center mb-3">
        <h1 className="me-auto mb-0">Arrivals</h1>
        <Link className="btn btn-primary" href="/plants/new">
          A plant has come
        </Link>
      </div>
      <p>
        Whatever comes into the house stands apart first: bought, given, or back from a summer outside. Inspect it at
        the door, wash it, look at it weekly, and let it join when little is left to doubt.
      </p>
      {view.length === 0 && (
        <Panel title="Nothing has come lately">
          <p className="mb-0">A plant put into an isolation place before it stood anywhere else is an arrival.</p>
        </Panel>
      )}
      {[...bySeller].map(([seller, lines]) => {
        const unwashed = lines.filter(({ steps }) => steps.washedOn === null).length;
        return (
          <Panel key={seller} title={seller || "No seller written down"}>
            <p>
              {unwashed === 0
                ? lines.length === 1
                  ? "It is washed."
                  : "All of them are washed."
                : lines.length === 1
                  ? "It is still unwashed."
                  : `${unwashed} of ${lines.length} from there ${unwashed === 1 ? "is" : "are"} still unwashed. What one brought the others may have too.`}
            </p>
            <ul className="list-group list-group-flush">
              {lines.map((line) => (
                <PlantLine key={line.card.id} plant={line.card} note={next(line)}>
                  <Link
                    className="btn btn-outline-primary"
                    href={
                      line.steps.inspectedOn === null
                        ? `/plants/${line.card.id}/look?all=1`
                        : line.steps.washedOn === null
                          ? `/plants/${line.card.id}/act`
                          : `/plants/${line.card.id}/look`
                    }
                    aria-label={`${line.steps.inspectedOn === null ? "Inspect" : line.steps.washedOn === null ? "Wash" : "Look at"} ${line.card.code}`}
                  >
                    {line.steps.inspectedOn === null ? "Inspect" : line.steps.washedOn === null ? "Wash" : "Look"}
                  </Link>
                </PlantLine>
              ))}
            </ul>
          </Panel>
        );
      })}
    </>
  );
}
