import { currentContext } from "@/app/_parts/server/context";
import { may } from "@/core/access/roles";
import { readToday } from "@/operations/plants/queries/readToday";
import { readWalks } from "@/operations/walks/queries/readWalks";
import { STANDING_PART } from "@/offline/keptPages";

/** The pages that a device keeps for when it has no connection: what is due, the walks that are open, and the plants of both. */
export async function GET(): Promise<Response> {
  const context = await currentContext("see");
  const [today, walks] = [await readToday(context), await readWalks(context)];
  const plants = may(context.role, "read")
    ? [
        ...today.looksDue,
        ...today.loose,
        ...today.apart,
        ...today.batches.flatMap(({ due }) => due.map(({ plant }) => plant)),
      ]
    : [];
  const pages = [
    ...["/today", "/evening", "/walk", "/almanac", "/almanac/hiding-places", "/almanac/life-cycle"],
    ...(may(context.role, "read") ? ["/mixing", "/benches", STANDING_PART] : []),
    ...walks.unfinished.map(({ id }) => `/walk/${id}`),
    ...today.batches.map(({ what }) => `/session/due/${what}`),
    ...new Set(plants.map(({ id }) => `/plants/${id}`)),
  ];
  return Response.json(pages, { headers: { "cache-control": "no-store" } });
}
