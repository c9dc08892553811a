import { z } from "zod";
import { timerIds } from "@/core/acts/timerIds";
import type { Timer } from "@/core/acts/timers";
import type { Scope } from "../../connection";
import { insert, rows, run } from "../../query";

const timer = z.object({
  id: z.string(),
  plantId: z.string().nullable(),
  what: z.enum(timerIds),
  startedAt: z.date(),
  endsAt: z.date(),
  code: z.string().nullable(),
});
/** A timer, and the code of its plant. */
export type KeptTimer = Timer & { readonly code: string | null };

/** The timers that nobody has ended, from those that rang after a moment on. */
export function running(scope: Scope, from: Date): Promise<KeptTimer[]> {
  const sql = `select t.id, t.plant_id as "plantId", t.what, t.started_at as "startedAt", t.ends_at as "endsAt", p.code
    from timers t left join plants p on p.collection_id = t.collection_id and p.id = t.plant_id
    where t.collection_id = :c and t.ended_at is null and t.ends_at > :from order by t.ends_at, t.id limit 500`;
  return rows(scope, timer, sql, { from });
}

export async function start(scope: Scope, { id, plantId, what, startedAt, endsAt }: Timer): Promise<void> {
  await insert(scope, "timers", [{ id, plantId, what, startedAt, endsAt, startedBy: scope.actor }]);
}

/** Ends a timer; one that has ended, or is not there, stays as it is. */
export function end(scope: Scope, id: string, at: Date): Promise<void> {
  return run(scope, "update timers set ended_at = :at where collection_id = :c and id = :id and ended_at is null", {
    id,
    at,
  });
}
