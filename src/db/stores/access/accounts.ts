import { z } from "zod";
import { roleIds, type Membership } from "@/core/access/roles";
import type { Day } from "@/core/shared/days";
import { any, first, rows, run, type Asks } from "../../query";

/** Who may come in, and what they may do with which collection. Accounts belong to no collection. */

const account = z.object({ id: z.string(), name: z.string(), passphraseHash: z.string().nullable() });
export type Account = z.output<typeof account>;

const columns = `a.id, a.name, a.passphrase_hash as "passphraseHash"`;

/** Whether anybody has an account: from then on everybody is asked who they are. */
export function someoneThere(asks: Asks): Promise<boolean> {
  return any(asks, "select 1 from accounts where closed_at is null");
}

/** By its name in any letters, unless it is closed. */
export function named(asks: Asks, name: string): Promise<Account | null> {
  const sql = `select ${columns} from accounts a where lower(a.name) = lower(:name) and a.closed_at is null`;
  return first(asks, account, sql, { name });
}

export function find(asks: Asks, id: string): Promise<Account | null> {
  return first(asks, account, `select ${columns} from accounts a where a.id = :id and a.closed_at is null`, { id });
}

export function add(asks: Asks, { id, name, passphraseHash }: Account, at: Date): Promise<void> {
  const sql = `insert into accounts (id, name, passphrase_hash, created_at) values (:id, :name, :passphraseHash, :at)`;
  return run(asks, sql, { id, name, passphraseHash, at });
}

export function setPassphrase(asks: Asks, id: string, passphraseHash: string): Promise<void> {
  return run(asks, "update accounts set passphrase_hash = :passphraseHash where id = :id", { id, passphraseHash });
}

/** Who owns the installation itself: whoever made the first account. */
async function ownersOfAll(asks: Asks): Promise<string[]> {
  const sql = "select id from accounts where owns_all and closed_at is null order by created_at, id";
  return (await rows(asks, z.object({ id: z.string() }), sql)).map(({ id }) => id);
}

/** Makes an account an owner of the installation. */
export function makeOwnerOfAll(asks: Asks, id: string): Promise<void> {
  return run(asks, "update accounts set owns_all = true where id = :id", { id });
}

const membership = z.object({
  collectionId: z.string(),
  accountId: z.string(),
  role: z.enum(roleIds),
  from: z.custom<Day>().nullable(),
  until: z.custom<Day>().nullable(),
});

/** What an account may do with each collection that it has to do with. */
export function memberships(asks: Asks, accountId: string): Promise<z.output<typeof membership>[]> {
  const sql = `select collection_id as "collectionId", account_id as "accountId", role, from_day::text as "from",
    until_day::text as "until" from memberships where account_id = :accountId`;
  return rows({ ...asks, accountId }, membership, sql, { accountId });
}

/** Makes everybody who owns the installation an owner of a collection that is new to it. */
export async function giveToOwners(asks: Asks, collectionId: string): Promise<void> {
  for (const accountId of await ownersOfAll(asks))
    await setMembership(asks, collectionId, accountId, { role: "owner", from: null, until: null });
}

/** Makes somebody a member of a collection, or changes what they are to it. */
export function setMembership(
  asks: Asks,
  collectionId: string,
  accountId: string,
  { role, from, until }: Membership,
): Promise<void> {
  return run(
    { ...asks, collectionId },
    `insert into memberships (collection_id, account_id, role, from_day, until_day)
     values (:collectionId, :accountId, :role, :from, :until)
     on conflict (collection_id, account_id) do update set role = excluded.role, from_day = excluded.from_day,
       until_day = excluded.until_day`,
    { collectionId, accountId, role, from, until },
  );
}

export function endMembership(asks: Asks, collectionId: string, accountId: string): Promise<void> {
  const sql = "delete from memberships where collection_id = :collectionId and account_id = :accountId";
  return run({ ...asks, collectionId }, sql, { collectionId, accountId });
}

const person = membership.omit({ collectionId: true }).extend({ name: z.string(), hasPassphrase: z.boolean() });
export type Person = z.output<typeof person>;

/** Who has to do with a collection, by name. */
export function people(asks: Asks, collectionId: string): Promise<Person[]> {
  const sql = `select a.id as "accountId", a.name, a.passphrase_hash is not null as "hasPassphrase", m.role,
      m.from_day::text as "from", m.until_day::text as "until"
    from memberships m join accounts a on a.id = m.account_id and a.closed_at is null
    where m.collection_id = :collectionId order by lower(a.name)`;
  return rows({ ...asks, collectionId }, person, sql, { collectionId });
}

/** How many own a collection without an end. */
export async function owners(asks: Asks, collectionId: string): Promise<number> {
  const sql = `select count(*)::int as n from memberships m join accounts a on a.id = m.account_id and a.closed_at is null
    where m.collection_id = :collectionId and m.role = 'owner' and m.until_day is null`;
  return (await first({ ...asks, collectionId }, z.object({ n: z.number() }), sql, { collectionId }))!.n;
}

/** Keeps the codes by which somebody comes in who has forgotten their passphrase; earlier ones no longer hold. */
export async function setRecoveryCodes(asks: Asks, accountId: string, hashes: readonly Buffer[]): Promise<void> {
  await run(asks, "delete from recovery_codes where account_id = :accountId", { accountId });
  for (const hash of hashes)
    await run(asks, "insert into recovery_codes (account_id, code_hash) values (:accountId, :hash)", {
      accountId,
      hash,
    });
}

/** Uses a code up; whether it held. */
export async function useRecoveryCode(asks: Asks, accountId: string, hash: Buffer, at: Date): Promise<boolean> {
  const sql = `update recovery_codes set used_at = :at where account_id = :accountId and code_hash = :hash and used_at is null
    returning 1 as n`;
  return (await rows(asks, z.object({ n: z.number() }), sql, { accountId, hash, at })).length > 0;
}
