import { z } from "zod";
import type { Scope } from "../../connection";
import { first, rows, run } from "../../query";

/** What could not be done by itself for a collection, and why: one row for each kind of work, gone when it has been done again. */
export const workIds = ["derive", "judge", "carry", "sense", "backup"] as const;
export type TroubledWork = (typeof workIds)[number];

const row = z.object({
  work: z.enum(workIds),
  why: z.string(),
  since: z.date(),
  at: z.date(),
  times: z.number(),
});
export type Trouble = z.output<typeof row>;

const columns = "work, why, since, at, times";

export function all(scope: Scope): Promise<Trouble[]> {
  return rows(scope, row, `select ${columns} from troubles where collection_id = :c order by since, work`);
}

export function find(scope: Scope, work: TroubledWork): Promise<Trouble | null> {
  return first(scope, row, `select ${columns} from troubles where collection_id = :c and work = :work`, { work });
}

/** Notes that a work failed. */
export function note(scope: Scope, work: TroubledWork, why: string): Promise<void> {
  return run(
    scope,
    `insert into troubles (collection_id, work, why, since, at, times) values (:c, :work, :why, :at, :at, 1)
     on conflict (collection_id, work) do update set why = excluded.why, at = excluded.at, times = troubles.times + 1`,
    { work, why: why.slice(0, 500), at: scope.now },
  );
}

/** It has been done again. */
export function clear(scope: Scope, work: TroubledWork): Promise<void> {
  return run(scope, "delete from troubles where collection_id = :c and work = :work", { work });
}
