import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { groupBy } from "@/core/shared/groupBy";
import { readArrivals, type ArrivalLine } from "@/operations/seasons/queries/readArrivals";
import { AsOf } from "@/app/_parts/AsOf";
import { Panel } from "@/ui/Panel";
import { PlantLine } from "@/ui/PlantLine";
import { dayInWords } from "@/wording/dates";
import { percent } from "@/wording/advice/chances";
import { cleanLooksSoFar } from "@/wording/advice/clearance/clearance";
import { currentContext } from "../_parts/server/context";
import { cachedView } from "../_parts/server/cachedView";

export const metadata: Metadata = { title: "Arrivals" };

/** What a new plant needs next, in one line. */
function next({ steps, carries, placeName }: ArrivalLine): string {
  const { inspectedOn, washedOn, cleanLooks } = steps;
  const back = carries?.waysBack?.find(({ way }) => way === "usual") ?? carries?.waysBack?.[0];
  const parts = [
    placeName,
    inspectedOn === null ? "not inspected yet" : "",
    washedOn === null ? "not washed" : `washed on ${dayInWords(washedOn)}`,
    cleanLooksSoFar(cleanLooks),
    carries ? `${percent(carries.p)} that it carries a pest` : "",
    back
      ? `may join on ${dayInWords(back.looks.at(-1)!)}, if it is ${washedOn === null ? "washed and " : ""}clean at each look until then`
      : "",
  ];
  return parts.filter((part) => part !== "").join("; ");
}

export default async function ArrivalsPage() {
  const context = await currentContext();
  const view = await cachedView(context, "arrivals", () => readArrivals(context));
  const bySeller = groupBy(view, ({ seller }) => seller);
  return (
    <>
      <AsOf />
      <div className="d-flex flex-wrap gap-2 align-items-center mb-3">
        <h1 className="me-auto mb-0">Arrivals</h1>
        <Link className="btn btn-primary" href="/plants/new">
          Add a new arrival
        </Link>
      </div>
      <p>
        Keep every plant that comes in apart at first: bought, given, or back from a summer outside. Inspect it before
        it comes in, wash it, look at it weekly, and let it join the others once it is very likely clean.
      </p>
      {view.length === 0 && (
        <Panel title="No new arrivals">
          <p className="mb-0">A plant whose first place is an isolation place is listed here.</p>
        </Panel>
      )}
      {[...bySeller].map(([seller, lines]) => {
        const unwashed = lines.filter(({ steps }) => steps.washedOn === null).length;
        return (
          <Panel key={seller} title={seller || "Seller not recorded"}>
            <p>
              {unwashed === 0
                ? lines.length === 1
                  ? "It is washed."
                  : "All of them are washed."
                : lines.length === 1
                  ? "It is still unwashed."
                  : `${unwashed} of ${lines.length} from there ${unwashed === 1 ? "is" : "are"} still unwashed. What one brought in, the others may have too.`}
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
