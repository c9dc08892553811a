import { may } from "@/core/access/roles";
import type { AddPerson, ChangePassphrase, ChangePerson } from "@/core/access/commands";
import { tellChanged } from "@/db/changes";
import { run, type Asks } from "@/db/query";
import * as accounts from "@/db/stores/access/accounts";
import * as devices from "@/db/stores/access/devices";
import * as auditLog from "@/db/stores/access/auditLog";
import type { Context } from "../shared/context";
import { NotAllowed } from "../shared/context";
import { transact, refuse, type Outcome } from "../shared/outcome";
import { signed, type Session } from "./session";
import { asksOf, mayTry, note, wasRight, type Caller } from "./door";
import { passphraseProblem } from "./passphrase";
import { hashPassphrase, hashSecret, isPassphrase, newRecoveryCodes, newSecret, plainCode } from "./secrets";

export type { ListedDevice } from "@/db/stores/access/devices";

/** A link that lets a device in works so long. Once. */
const PAIRING_MINUTES = 5;
const RECOVERY_CODES = 8;
const ENTRIES_SHOWN = 200;

export interface PeopleView {
  readonly people: readonly (accounts.Person & { readonly devices: readonly devices.ListedDevice[] })[];
}

/** Who has to do with a collection, and from which devices they come. For its owners. */
export async function readPeople(context: Context): Promise<PeopleView> {
  const asks = asksIn(context, "own");
  const people = await accounts.people(asks, context.collection.id);
  const all = await devices.ofAccounts(
    asks,
    people.map(({ accountId }) => accountId),
    context.now,
  );
  return {
    people: people.map((person) => ({
      ...person,
      devices: all.filter(({ accountId }) => accountId === person.accountId),
    })),
  };
}

/** Who did what lately with a collection, and at the door. For its owners. */
export function readAuditLog(context: Context): Promise<auditLog.LogEntry[]> {
  return auditLog.lately(asksIn(context, "own"), context.collection.id, ENTRIES_SHOWN);
}

/** The asker's own devices. */
export function readOwnDevices(caller: Caller, { accountId }: Session): Promise<devices.ListedDevice[]> {
  return devices.ofAccounts(asksOf(caller), [accountId], caller.now);
}

/** Whether the asker has a passphrase: whoever came by a link has none yet. */
export async function hasPassphrase(caller: Caller, { accountId }: Session): Promise<boolean> {
  const account = await accounts.find(asksOf(caller), accountId);
  return account !== null && account.passphraseHash !== null;
}

/**
 * Gives somebody an account and something to do with a collection. They come in by a link that an owner makes for them. One of the
 * asker's other people, `known` by account, is added by name.
 */
export function addPerson(
  context: Context,
  { id, name, ...membership }: AddPerson,
  known: readonly string[],
): Promise<Outcome<{ id: string }>> {
  return transact(context, "own", id, async (scope) => {
    if (await accounts.find(scope, id)) return { id };
    await run(scope, "select pg_advisory_xact_lock(hashtextextended('account names', 0))");
    // From the first account on everybody is asked who they are: the first is an owner's, who can answer.
    if (!(await accounts.someoneThere(scope))) refuse("", "no_owner_yet");
    const there = await accounts.named(scope, name);
    const mine = await accounts.people(scope, context.collection.id);
    if (there && (!known.includes(there.id) || mine.some(({ accountId }) => accountId === there.id)))
      return refuse("name", "name_in_use");
    if (there) {
      await accounts.setMembership(scope, context.collection.id, there.id, membership);
      return { id: there.id };
    }
    await accounts.add(scope, { id, name, passphraseHash: null }, context.now);
    await accounts.setMembership(scope, context.collection.id, id, membership);
    return { id };
  });
}

/** Changes what somebody is to a collection, or ends it. The last owner stays one. */
export function changePerson(
  context: Context,
  { accountId, role, from, until }: ChangePerson,
): Promise<Outcome<{ accountId: string }>> {
  const collectionId = context.collection.id;
  return transact(context, "own", `${collectionId} people`, async (scope) => {
    const person = (await accounts.people(scope, collectionId)).find((one) => one.accountId === accountId);
    if (!person) return refuse("accountId", "unknown");
    if (role === null) await accounts.endMembership(scope, collectionId, accountId);
    else await accounts.setMembership(scope, collectionId, accountId, { role, from, until });
    if ((await accounts.owners(scope, collectionId)) === 0) refuse("role", "last_owner");
    return { accountId };
  });
}

/** A link for a device of somebody's: of the asker's own, or, made by an owner, of one of their people without a passphrase. */
export async function pair(
  caller: Caller,
  asker: Session,
  accountId: string,
  owned: readonly Context[],
): Promise<Outcome<{ token: string; endsAt: Date }>> {
  const asks = asksOf(caller);
  if (accountId !== asker.accountId) {
    const mine = await Promise.all(owned.map((context) => readPeople(context)));
    const person = mine.flatMap(({ people }) => people).find((one) => one.accountId === accountId);
    const theirs = await accounts.memberships(asks, accountId);
    const elsewhere = theirs.some(
      ({ collectionId }) => !owned.some(({ collection }) => collection.id === collectionId),
    );
    // Nobody comes in as somebody who keeps a passphrase of their own, or who has to do with what is not theirs to open.
    if (!person || person.hasPassphrase || elsewhere)
      return { ok: false, problems: [{ path: "", code: "not_allowed" }] };
  }
  const token = newSecret();
  const endsAt = new Date(caller.now.getTime() + PAIRING_MINUTES * 60_000);
  await devices.addPairing(asks, hashSecret(token), accountId, caller.now, endsAt);
  await note(asks, caller, asker.accountId, signed(asker), "link made for a device", "");
  return { ok: true, value: { token, endsAt } };
}

/** Ends a device: of the asker's own, or of one of their people. It is out at its next step. */
export async function endDevice(
  caller: Caller,
  asker: Session,
  deviceId: string,
  owned: readonly Context[],
): Promise<Outcome<{ deviceId: string }>> {
  const asks = asksOf(caller);
  const own = await readOwnDevices(caller, asker);
  const theirs = await Promise.all(owned.map((context) => readPeople(context)));
  const all = [...own, ...theirs.flatMap(({ people }) => people.flatMap((person) => person.devices))];
  const device = all.find(({ id }) => id === deviceId);
  if (!device) return { ok: false, problems: [{ path: "", code: "unknown" }] };
  await devices.end(asks, device.accountId, deviceId, caller.now);
  await note(asks, caller, asker.accountId, signed(asker), "device ended", device.name);
  return { ok: true, value: { deviceId } };
}

/** Another passphrase; or a first one, for whoever came by a link. Other devices are out, and there are new codes. */
export async function changePassphrase(
  caller: Caller,
  asker: Session,
  { old, passphrase }: ChangePassphrase,
): Promise<Outcome<{ recoveryCodes: readonly string[] }>> {
  const problem = passphraseProblem(passphrase, asker.name);
  if (problem) return { ok: false, problems: [{ path: "passphrase", code: problem }] };
  const asks = asksOf(caller);
  const account = await accounts.find(asks, asker.accountId);
  if (!account) return { ok: false, problems: [{ path: "", code: "unknown" }] };
  if (!(await mayTry(asks, caller, account.name)))
    return { ok: false, problems: [{ path: "", code: "too_many_tries" }] };
  if (account.passphraseHash !== null && !(await isPassphrase(account.passphraseHash, old)))
    return { ok: false, problems: [{ path: "old", code: "wrong_passphrase" }] };
  await wasRight(asks, caller, account.name);
  const passphraseHash = await hashPassphrase(passphrase);
  const recoveryCodes = newRecoveryCodes(RECOVERY_CODES);
  await asks.sequelize.transaction(async (transaction) => {
    const within: Asks = { ...asks, transaction };
    await accounts.setPassphrase(within, account.id, passphraseHash);
    await accounts.setRecoveryCodes(within, account.id, recoveryCodes.map(plainCode).map(hashSecret));
    await devices.endOthers(within, account.id, asker.deviceId, caller.now);
    await note(within, caller, account.id, signed(asker), "passphrase changed", "");
  });
  return { ok: true, value: { recoveryCodes } };
}

/** Writes down that a command was done with a collection, and tells whoever shows it; `from` is the page that did it. */
export async function noteCommand(
  context: Context,
  asker: Session | null,
  what: string,
  about: string,
  from = "",
): Promise<void> {
  const collectionId = context.collection.id;
  const asks: Asks = { sequelize: context.sequelize, transaction: undefined, collectionId };
  const mark = await note(asks, context, asker?.accountId ?? null, context.actor, what, about, collectionId);
  await tellChanged(asks, { collectionId, mark, from });
}

function asksIn(context: Context, right: "own"): Asks {
  if (!may(context.role, right)) throw new NotAllowed(context.role, right);
  const { sequelize, collection, accountId = null } = context;
  return { sequelize, transaction: undefined, collectionId: collection.id, accountId };
}
