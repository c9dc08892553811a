import type { Naming } from "@/core/facts/deeds";
import type { Find, Look } from "@/core/facts/records";
import type { PestId } from "@/core/pests/pests";
import type { Scope } from "../connection";
import { dayOf, insert, insertAll, rows } from "../query";

const columns = `k.id, k.plant_id as "plantId", k.looked_at as at, ${dayOf("k.looked_at")} as day, k.tool, k.spots, k.turned,
  k.walk_id as "walkId", k.naming, k.note,
  k.void_reason as "voidReason",
  coalesce((
    select json_agg(json_build_object('id', f.id, 'caseId', f.case_id, 'pest', f.pest, 'severity', f.severity,
      'count', f.live_count, 'removed', f.removed, 'spots', f.spots, 'stages', f.stages) order by f.pest)
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

/** Whether a look of this walk at this plant stands. */
export async function isLookedAtOn(scope: Scope, walkId: string, plantId: string): Promise<boolean> {
  const sql = `select 1 from looks where collection_id = :c and walk_id = :walkId and plant_id = :plantId and voided_at is null`;
  return (await rows(scope, sql, { walkId, plantId })).length > 0;
}

export interface NamedLook {
  readonly naming: Naming;
  readonly pests: readonly PestId[];
}

/** Every look that stands at which signs were looked for, with what was found. */
export function withNaming(scope: Scope): Promise<NamedLook[]> {
  const sql = `select k.naming, array(
      select f.pest from finds f where f.collection_id = k.collection_id and f.look_id = k.id order by f.pest
    ) as pests
    from looks k where k.collection_id = :c and k.naming is not null and k.voided_at is null`;
  return rows<NamedLook>(scope, sql);
}
