import { z } from "zod";
import type { Exposure } from "@/core/record/cases/exposures";
import { pestIds } from "@/core/knowledge/pests/pests";
import type { Day } from "@/core/shared/days";
import { dayIn } from "@/zones";
import type { Scope } from "../../connection";
import { idList, insert, rows, run } from "../../query";

/** What plants have stood beside: derived from facts, kept as a cache. */
const row = z.object({
  plantId: z.string(),
  sourcePlantId: z.string(),
  sourceCode: z.string(),
  caseId: z.string(),
  pest: z.enum(pestIds),
  since: z.date(),
});
export type ExposureRow = z.output<typeof row> & { readonly day: Day };

/** The cases that plants have stood beside, oldest first. */
export async function of(scope: Scope, plantIds: readonly string[]): Promise<ExposureRow[]> {
  if (plantIds.length === 0) return [];
  const sql = `select e.plant_id as "plantId", e.source_plant_id as "sourcePlantId", p.code as "sourceCode",
      e.case_id as "caseId", e.pest, e.since
    from exposures e join plants p on p.collection_id = e.collection_id and p.id = e.source_plant_id
    where e.collection_id = :c and e.plant_id = any (cast(:ids as uuid[])) order by e.since, e.case_id, e.plant_id`;
  const found = await rows(scope, row, sql, { ids: idList(plantIds) });
  return found.map((one) => ({ ...one, day: dayIn(one.since, scope.timeZone) }));
}

/** Plants that, by what is kept, have stood beside a case of one of these. */
export async function exposedBy(scope: Scope, sourcePlantIds: readonly string[]): Promise<string[]> {
  const sql = `select distinct plant_id as id from exposures
    where collection_id = :c and source_plant_id = any (cast(:ids as uuid[]))`;
  const found = await rows(scope, z.object({ id: z.string() }), sql, { ids: idList(sourcePlantIds) });
  return found.map(({ id }) => id);
}

/** Replaces what is kept of these plants. */
export async function replace(
  scope: Scope,
  plantIds: readonly string[],
  exposures: readonly (Exposure & { readonly plantId: string })[],
): Promise<void> {
  const ids = { ids: idList(plantIds) };
  await run(scope, "delete from exposures where collection_id = :c and plant_id = any (cast(:ids as uuid[]))", ids);
  await insert(
    scope,
    "exposures",
    exposures.map(({ plantId, sourcePlantId, caseId, pest, since }) => ({
      plantId,
      sourcePlantId,
      caseId,
      pest,
      since,
    })),
  );
}
