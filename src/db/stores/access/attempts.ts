import { z } from "zod";
import { rows, run, type Asks } from "../../query";

/** After so many tries whoever tries waits, twice as long each time; after a while without any they are forgotten (HOUSE). */
export interface Patience {
  readonly free: number;
  readonly mostSeconds: number;
  readonly forgetSeconds: number;
}

/**
 * Counts a try under a key before it is known how it ends, so that any number at once count. False where it is too soon after the
 * last: that one is not to be tried, and does not count.
 */
export async function begin(
  asks: Asks,
  key: string,
  at: Date,
  { free, mostSeconds, forgetSeconds }: Patience,
): Promise<boolean> {
  const sql = `insert into attempts as t (key, failures, last_at) values (:key, 1, :at)
    on conflict (key) do update set last_at = excluded.last_at,
      failures = case when t.last_at < cast(:at as timestamptz) - :forgetSeconds * interval '1 second' then 1 else t.failures + 1 end
    where t.failures < :free or cast(:at as timestamptz) >= t.last_at
      + least(:mostSeconds, power(2, least(t.failures - :free, 30))) * interval '1 second'
    returning failures`;
  const values = { key, at, free, mostSeconds, forgetSeconds };
  return (await rows(asks, z.object({ failures: z.number() }), sql, values)).length > 0;
}

/** A try that was right does not count. */
export function right(asks: Asks, key: string): Promise<void> {
  return run(asks, "update attempts set failures = greatest(0, failures - 1) where key = :key", { key });
}

/** What was tried before no longer counts. */
export function forget(asks: Asks, key: string): Promise<void> {
  return run(asks, "delete from attempts where key = :key", { key });
}

/** Keeps the table short. */
export function forgetOld(asks: Asks, before: Date): Promise<void> {
  return run(asks, "delete from attempts where last_at < :before", { before });
}
