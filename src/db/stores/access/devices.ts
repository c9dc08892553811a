import { z } from "zod";
import { first, rows, run, type Asks } from "../../query";

/** Devices that somebody has come in from, each with a secret of its own of which only the hash is kept. */

const held = z.object({
  deviceId: z.string(),
  device: z.string(),
  accountId: z.string(),
  name: z.string(),
  seenAt: z.date(),
});
export type HeldDevice = z.output<typeof held>;

/** Whose device holds a secret, unless its time is over. */
export function byToken(asks: Asks, tokenHash: Buffer, at: Date): Promise<HeldDevice | null> {
  const sql = `select d.id as "deviceId", d.name as device, a.id as "accountId", a.name, d.seen_at as "seenAt"
    from devices d join accounts a on a.id = d.account_id and a.closed_at is null
    where d.token_hash = :tokenHash and d.ended_at is null and d.ends_at > :at`;
  return first(asks, held, sql, { tokenHash, at });
}

export interface NewDevice {
  readonly id: string;
  readonly accountId: string;
  readonly name: string;
  readonly tokenHash: Buffer;
  readonly beganAt: Date;
  readonly endsAt: Date;
}

export function add(asks: Asks, device: NewDevice): Promise<void> {
  return run(
    asks,
    `insert into devices (id, account_id, name, token_hash, began_at, seen_at, ends_at)
     values (:id, :accountId, :name, :tokenHash, :beganAt, :beganAt, :endsAt)`,
    { ...device },
  );
}

/** Says that a device was here: from now on it may stay away for as long again. */
export function seen(asks: Asks, id: string, at: Date): Promise<void> {
  const sql = `update devices set seen_at = :at, ends_at = cast(:at as timestamptz) + (ends_at - seen_at)
    where id = :id and ended_at is null and seen_at < :at`;
  return run(asks, sql, { id, at });
}

/** Ends one device of an account; whether it was there. */
export async function end(asks: Asks, accountId: string, id: string, at: Date): Promise<boolean> {
  const sql = `update devices set ended_at = :at where id = :id and account_id = :accountId and ended_at is null
    returning 1 as n`;
  return (await rows(asks, z.object({ n: z.number() }), sql, { id, accountId, at })).length > 0;
}

/** Ends all devices of an account but one, or all. */
export function endOthers(asks: Asks, accountId: string, but: string | null, at: Date): Promise<void> {
  const sql = `update devices set ended_at = :at where account_id = :accountId and ended_at is null
    and (cast(:but as uuid) is null or id <> cast(:but as uuid))`;
  return run(asks, sql, { accountId, but, at });
}

const listed = z.object({
  id: z.string(),
  accountId: z.string(),
  name: z.string(),
  beganAt: z.date(),
  seenAt: z.date(),
});
export type ListedDevice = z.output<typeof listed>;

/** The devices of some accounts that may come in, the one seen last first. */
export async function ofAccounts(asks: Asks, accountIds: readonly string[], at: Date): Promise<ListedDevice[]> {
  const sql = `select id, account_id as "accountId", name, began_at as "beganAt", seen_at as "seenAt" from devices
    where account_id = any (cast(:ids as uuid[])) and ended_at is null and ends_at > :at order by seen_at desc, id`;
  return rows(asks, listed, sql, { ids: `{${accountIds.join()}}`, at });
}

/** Makes a way in that holds once, for a while. Those that are over are forgotten. */
export async function addPairing(asks: Asks, tokenHash: Buffer, accountId: string, at: Date, endsAt: Date) {
  await run(asks, "delete from pairings where ends_at < :at", { at });
  const sql = "insert into pairings (token_hash, account_id, ends_at) values (:tokenHash, :accountId, :endsAt)";
  await run(asks, sql, { tokenHash, accountId, endsAt });
}

const paired = z.object({ accountId: z.string(), name: z.string() });

/** Whose way in this is, if it still holds; it is not used up. */
export function pairing(asks: Asks, tokenHash: Buffer, at: Date): Promise<z.output<typeof paired> | null> {
  const sql = `select a.id as "accountId", a.name from pairings p
    join accounts a on a.id = p.account_id and a.closed_at is null
    where p.token_hash = :tokenHash and p.used_at is null and p.ends_at > :at`;
  return first(asks, paired, sql, { tokenHash, at });
}

/** Uses a way in up; the account it leads to, or null where it does not hold. Of two at once one finds it used. */
export async function usePairing(asks: Asks, tokenHash: Buffer, at: Date): Promise<string | null> {
  const sql = `update pairings p set used_at = :at from accounts a
    where a.id = p.account_id and a.closed_at is null and p.token_hash = :tokenHash and p.used_at is null and p.ends_at > :at
    returning p.account_id as "accountId"`;
  return (await rows(asks, paired.pick({ accountId: true }), sql, { tokenHash, at }))[0]?.accountId ?? null;
}
