import { may, roleOn, type RoleId } from "@/core/access/roles";
import { connect } from "@/db/connection";
import type { Asks } from "@/db/query";
import * as accounts from "@/db/stores/access/accounts";
import * as collections from "@/db/stores/collections";
import * as devices from "@/db/stores/access/devices";
import { dayIn } from "@/zones";
import { hashSecret } from "./secrets";

/** Who asks: an account, on a device. */
export interface Session {
  readonly accountId: string;
  readonly name: string;
  readonly deviceId: string;
  readonly device: string;
}

/** Open while nobody has an account; from then on whoever asks is known, or nobody. */
export type AtTheDoor = { readonly open: true } | { readonly open: false; readonly asker: Session | null };

/** Whether it is known who asks: nobody's guesses are remembered. */
export const isKnown = (door: AtTheDoor): boolean => door.open || door.asker !== null;

/** A device that comes again stays in; that is written down now and then only. */
const SEEN_EVERY_MS = 300_000;

/** Who holds a secret. */
export async function atTheDoor(databaseUrl: string, token: string | null, now: Date): Promise<AtTheDoor> {
  const asks: Asks = { sequelize: connect(databaseUrl), transaction: undefined };
  const held = token === null ? null : await devices.byToken(asks, hashSecret(token), now);
  if (!held) return (await accounts.someoneThere(asks)) ? { open: false, asker: null } : { open: true };
  const { seenAt, ...asker } = held;
  if (now.getTime() - seenAt.getTime() > SEEN_EVERY_MS) await devices.seen(asks, held.deviceId, now);
  return { open: false, asker };
}

/** The name under which an asker's facts are written down. */
export const signed = ({ name, device }: Pick<Session, "name" | "device">) => `${name} · ${device}`;

/** A collection, and who the asker is to it today. */
export interface OpenTo {
  readonly collection: collections.Collection;
  readonly role: RoleId;
}

/** The collections that are open to somebody, the oldest first: all while nobody has an account. */
export async function collectionsOpenTo(databaseUrl: string, door: AtTheDoor, now: Date): Promise<OpenTo[]> {
  const sequelize = connect(databaseUrl);
  const asks: Asks = { sequelize, transaction: undefined };
  if (door.open) return (await collections.all(asks)).map((collection) => ({ collection, role: "owner" }));
  if (!door.asker) return [];
  const own = new Map((await accounts.memberships(asks, door.asker.accountId)).map((one) => [one.collectionId, one]));
  return (await collections.ofAccount(asks, door.asker.accountId)).flatMap((collection): OpenTo[] => {
    const membership = own.get(collection.id);
    const role = membership ? roleOn(membership, dayIn(now, collection.timeZone)) : null;
    return role ? [{ collection, role }] : [];
  });
}

/** Whether somebody may begin a collection of their own, or show the demo: whoever records in one, or anybody where there is none. */
export async function mayBegin(databaseUrl: string, door: AtTheDoor, now: Date): Promise<boolean> {
  const open = await collectionsOpenTo(databaseUrl, door, now);
  if (open.some(({ role }) => may(role, "record"))) return true;
  if (!door.open && !door.asker) return false;
  return (await collections.all({ sequelize: connect(databaseUrl), transaction: undefined })).length === 0;
}
