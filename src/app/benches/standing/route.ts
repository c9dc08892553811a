import { currentContext } from "@/app/_parts/server/context";
import { readBenches } from "@/operations/places/queries/readBenches";
import { packBench } from "../_parts/packBench";
import { cachedView } from "@/app/_parts/server/cachedView";

/** What stands in every place, by its id: what the page of a large collection fetches after it has been drawn. */
export async function GET(): Promise<Response> {
  const context = await currentContext();
  const view = await cachedView(context, "standing", async () =>
    (await readBenches(context)).flatMap(({ benches }) =>
      benches.map(({ place, plants }) => [place.id, packBench(plants)] as const),
    ),
  );
  return Response.json(Object.fromEntries(view), { headers: { "cache-control": "no-store" } });
}
