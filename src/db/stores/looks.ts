import type { Find, Look } from "@/core/facts/records";
import type { Scope } from "../connection";
import { dayOf, insert, insertAll, rows } from "../query";

const columns = `k.id, k.plant_id as "plantId", k.looked_at as at, ${dayOf("k.looked_at")} as day, k.tool, k.spots, k.note,
  k.void_reason as "voidReason",
  coalesce((
    select json_agg(json_build_object('id', f.id, 'caseId', f.case_id, 'pest', f.pest, 'severity', f.severity,
      'count', f.live_count, 'removed', f.removed) order by f.pest)
    from finds f where f.collection_id = k.collection_id and f.look_id = k.id
  ), '[]') as finds`;

/** Looks at plants, oldest first, voided ones included; `since` leaves out what came before that instant. */
export async function ofPlants(scope: Scope, plantIds: readonly string[], since?: Date): Promise<Look[]> {
  if (plantIds.length === 0) return [];
  const sql = `select ${columns} from looks k where k.collection_id = :c and k.plant_id in (:plantIds)
    and k.looked_at >= :since order by k.looked_at, k.recorded_at`;
  return rows<Look>(scope, sql, { plantIds, since: since ?? new Date(0) });
}

export async function find(scope: Scope, id: string): Promise<Look | null> {
  return (
    (await rows<Look>(scope, `select ${columns} from looks k where k.collection_id = :c and k.id = :id`, { id }))[0] ??
    null
  );
}

export async function add(
  scope: Scope,
  look: Omit<Look, "day" | "finds" | "voidReason">,
  recordedAt: Date,
): Promise<void> {
  const { at, ...rest } = look;
  await insert(scope, "Look", { ...rest, lookedAt: at, recordedAt });
}

export function addFinds(scope: Scope, lookId: string, finds: readonly Find[]): Promise<void> {
  const values = finds.map(({ count, ...find }) => ({ ...find, lookId, liveCount: count }));
  return insertAll(scope, "Find", values);
}
