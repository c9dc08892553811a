import type { Sequelize, Transaction } from "sequelize";
import { v7 as uuidv7 } from "uuid";
import type { LogIn, MakeOwner, Recover, TakePairing } from "@/core/access/commands";
import { connect } from "@/db/connection";
import { run, type Asks } from "@/db/query";
import * as accounts from "@/db/stores/access/accounts";
import * as attempts from "@/db/stores/access/attempts";
import * as collections from "@/db/stores/collections";
import * as devices from "@/db/stores/access/devices";
import * as auditLog from "@/db/stores/access/auditLog";
import type { Outcome, Problem } from "../shared/outcome";
import { passphraseProblem } from "./passphrase";
import { hashPassphrase, hashSecret, isPassphrase, newRecoveryCodes, newSecret, plainCode } from "./secrets";

/** Somebody at the door: from where, and when. */
export interface Caller {
  readonly databaseUrl: string;
  readonly address: string;
  readonly now: Date;
}

/** What a device is given that has come in: its secret, and until when it may stay away. */
export interface LetIn {
  readonly token: string;
  readonly endsAt: Date;
  /** Codes to be written down, shown once. */
  readonly recoveryCodes?: readonly string[];
}

const DAY_MS = 86_400_000;
/** A device that stays away for longer has to be let in again, days (HOUSE). */
const STAYS = { typed: 30, paired: 180 } as const;
const RECOVERY_CODES = 8;

/**
 * Guesses are slowed down by address, and sooner by address and name together; never by name alone, or anybody could keep its bearer
 * out. An address may be a whole household.
 */
const BY_PAIR: attempts.Patience = { free: 5, mostSeconds: 900, forgetSeconds: 3600 };
const BY_ADDRESS: attempts.Patience = { free: 20, mostSeconds: 900, forgetSeconds: 3600 };

const no = (path: string, code: Problem["code"]) => ({ ok: false, problems: [{ path, code }] }) as const;

/** Makes the first account, which owns every collection that is there. Nobody else can be asked who they are before that. */
export async function makeOwner(caller: Caller, command: MakeOwner): Promise<Outcome<LetIn>> {
  const { id, name, passphrase, device } = command;
  const problem = passphraseProblem(passphrase, name);
  if (problem) return no("passphrase", problem);
  const passphraseHash = await hashPassphrase(passphrase);
  return inTransaction(caller, async (asks) => {
    await run(asks, "select pg_advisory_xact_lock(hashtextextended('first account', 0))");
    if (await accounts.someoneThere(asks)) return no("", "owner_exists");
    await accounts.add(asks, { id, name, passphraseHash }, caller.now);
    await accounts.makeOwnerOfAll(asks, id);
    for (const collection of await collections.all(asks))
      await accounts.setMembership(asks, collection.id, id, { role: "owner", from: null, until: null });
    const recoveryCodes = newRecoveryCodes(RECOVERY_CODES);
    await accounts.setRecoveryCodes(asks, id, recoveryCodes.map(plainCode).map(hashSecret));
    const letIn = await newDevice(asks, id, device, STAYS.typed, caller.now);
    await note(asks, caller, id, `${name} · ${device || NO_NAME}`, "owner made", name);
    return { ok: true, value: { ...letIn, recoveryCodes } };
  });
}

/** Lets somebody in who knows their passphrase. Whether the name or the passphrase was wrong is not told. */
export async function logIn(caller: Caller, { name, passphrase, device }: LogIn, before: string | null) {
  const asks = asksOf(caller);
  if (!(await mayTry(asks, caller, name))) return no("", "too_many_tries");
  const account = await accounts.named(asks, name);
  if (!(await isPassphrase(account?.passphraseHash ?? null, passphrase)) || !account) {
    await note(asks, caller, null, `from ${caller.address}`, "not let in", name);
    return no("", "not_let_in");
  }
  return comeIn(asks, caller, account, device, before, "came in");
}

/** Lets somebody in by a code of theirs, which is used up, and gives them a new passphrase; their other devices are out. */
export async function recover(caller: Caller, { name, code, passphrase, device }: Recover, before: string | null) {
  const problem = passphraseProblem(passphrase, name);
  if (problem) return no("passphrase", problem);
  // A code is a long secret that nobody guesses: whoever holds one comes in, however many have guessed at the passphrase.
  // Hashed whoever asks, so that a name that is there takes no longer than one that is not.
  const passphraseHash = await hashPassphrase(passphrase);
  return inTransaction(caller, async (asks) => {
    const account = await accounts.named(asks, name);
    const codeHash = hashSecret(plainCode(code));
    if (!account || !(await accounts.useRecoveryCode(asks, account.id, codeHash, caller.now))) {
      await note(asks, caller, null, `from ${caller.address}`, "not let in by a code", name);
      return no("", "code_wrong");
    }
    await accounts.setPassphrase(asks, account.id, passphraseHash);
    await devices.endOthers(asks, account.id, null, caller.now);
    return comeIn(asks, caller, account, device, before, "came in by a code");
  });
}

/** Whose way in a link is; null where it does not hold any more. */
export function readPairing({ databaseUrl, now }: Caller, token: string): Promise<{ name: string } | null> {
  return devices.pairing({ sequelize: connect(databaseUrl), transaction: undefined }, hashSecret(token), now);
}

/** Lets a device in by a link, once. */
export async function takePairing(
  caller: Caller,
  { token, device }: TakePairing,
  before: string | null,
): Promise<Outcome<LetIn>> {
  return inTransaction(caller, async (asks) => {
    const accountId = await devices.usePairing(asks, hashSecret(token), caller.now);
    const account = accountId && (await accounts.find(asks, accountId));
    if (!account) return no("", "pairing_over");
    await endBefore(asks, caller, before);
    const letIn = await newDevice(asks, account.id, device, STAYS.paired, caller.now);
    await note(asks, caller, account.id, `${account.name} · ${device}`, "paired", device);
    return { ok: true, value: letIn };
  });
}

/** What a device without a name is called. */
export const NO_NAME = "unnamed device";

export async function note(
  asks: Asks,
  { now: at }: Pick<Caller, "now">,
  accountId: string | null,
  who: string,
  what: string,
  about: string,
  collectionId: string | null = null,
): Promise<string> {
  const id = uuidv7();
  await auditLog.add(asks, { id, at, accountId, collectionId, who, what, about });
  return id;
}

export function asksOf({ databaseUrl }: Pick<Caller, "databaseUrl">, transaction?: Transaction): Asks {
  return { sequelize: connect(databaseUrl), transaction };
}

function inTransaction<T>(caller: Caller, work: (asks: Asks) => Promise<T>): Promise<T> {
  const sequelize: Sequelize = connect(caller.databaseUrl);
  return sequelize.transaction((transaction) => work({ sequelize, transaction }));
}

const pairKey = (address: string, name: string) => `pair ${address} ${name.toLowerCase()}`;
const addressKey = (address: string) => `address ${address}`;

/** Whether a passphrase may be tried now, by this name and from this address. It counts as a try. */
export async function mayTry(asks: Asks, { now, address }: Caller, name: string): Promise<boolean> {
  await attempts.forgetOld(asks, new Date(now.getTime() - DAY_MS));
  return (
    (await attempts.begin(asks, addressKey(address), now, BY_ADDRESS)) &&
    (await attempts.begin(asks, pairKey(address, name), now, BY_PAIR))
  );
}

/** What was tried was right: tries before it no longer count against the two, nor this one against the address. */
export async function wasRight(asks: Asks, { address }: Caller, name: string): Promise<void> {
  await attempts.forget(asks, pairKey(address, name));
  await attempts.right(asks, addressKey(address));
}

/** The device that somebody had in this browser before is out: its secret is replaced. */
async function comeIn(
  asks: Asks,
  caller: Caller,
  account: accounts.Account,
  device: string,
  before: string | null,
  what: string,
): Promise<Outcome<LetIn>> {
  await wasRight(asks, caller, account.name);
  await endBefore(asks, caller, before);
  const letIn = await newDevice(asks, account.id, device, STAYS.typed, caller.now);
  await note(asks, caller, account.id, `${account.name} · ${device || NO_NAME}`, what, "");
  return { ok: true, value: letIn };
}

/** Whoever was in in this browser before is out. */
async function endBefore(asks: Asks, caller: Caller, before: string | null): Promise<void> {
  const was = before === null ? null : await devices.byToken(asks, hashSecret(before), caller.now);
  if (was) await devices.end(asks, was.accountId, was.deviceId, caller.now);
}

async function newDevice(asks: Asks, accountId: string, name: string, days: number, now: Date): Promise<LetIn> {
  const token = newSecret();
  const endsAt = new Date(now.getTime() + days * DAY_MS);
  const device = { id: uuidv7(), accountId, name: name || NO_NAME, tokenHash: hashSecret(token) };
  await devices.add(asks, { ...device, beganAt: now, endsAt });
  return { token, endsAt };
}
