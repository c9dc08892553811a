import { z } from "zod";
import type { Day } from "@/core/shared/days";
import { climateSources } from "@/core/record/facts/kinds/climateDay";
import type { Scope } from "../../connection";
import { idList, manyRows } from "../../query";

const kept = z.object({
  id: z.string(),
  placeId: z.string(),
  day: z.string().transform((text) => text as Day),
  source: z.enum(climateSources),
  minC: z.number(),
  maxC: z.number(),
  meanC: z.number(),
  humidity: z.number().nullable(),
  deficitKpa: z.number().nullable(),
  hours: z.number(),
  samples: z.number(),
});
/** A day of a place, of all that was told of it what knows most of it. */
export type KeptDay = z.output<typeof kept>;

/** Days of places from one on, by place and day: of several made of one day the one of most hours, then the one made last. */
export async function daysFrom(scope: Scope, from: Day, placeIds: readonly string[] | null = null): Promise<KeptDay[]> {
  const sql = `select distinct on (place_id, for_day) id, place_id as "placeId", for_day as day, source, min_c as "minC",
      max_c as "maxC", mean_c as "meanC", humidity, deficit_kpa as "deficitKpa", hours, samples
    from climate_days where collection_id = :c and voided_at is null and for_day >= cast(:from as date)
      and (cast(:every as boolean) or place_id = any (cast(:ids as uuid[])))
    order by place_id, for_day, hours desc, recorded_at desc, id`;
  return manyRows(scope, kept, sql, { from, every: placeIds === null, ids: idList(placeIds ?? []) });
}
