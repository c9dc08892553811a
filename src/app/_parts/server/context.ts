import "server-only";
import { cookies, headers } from "next/headers";
import { redirect } from "next/navigation";
import { connection } from "next/server";
import { cache } from "react";
import { now } from "@/clock";
import { may, type Right } from "@/core/access/roles";
import { text } from "@/core/shared/fields";
import { databaseUrl } from "@/env";
import { contextOf, type Context } from "@/operations/shared/context";
import { atTheDoor, collectionsOpenTo, isKnown, signed, type Session, type OpenTo } from "@/operations/access/session";
import { NO_NAME, type Caller } from "@/operations/access/door";
import { readRevision } from "@/operations/record/queries/readRevision";
import { COLLECTION_COOKIE, DEVICE_COOKIE } from "@/ui/shell/cookies";
import { ADDRESS_HEADER, isSecure } from "./peer";
import { kept } from "./pageCache";
import { sessionIn } from "./session";

/** What a request says of itself: which collection it is about, and the name of the device. */
interface Asked {
  readonly collectionId: string | null;
  readonly device: string;
}

export { NO_NAME };

/** The name a device was given, as it may be written down. */
function deviceName(given: string | undefined): string {
  return text(40).safeParse(given ?? "").data || NO_NAME;
}

/** The secret that this request bears. */
const tokenNow = async () => sessionIn(await cookies(), isSecure(await headers()));

/** Who asks; as it was last known while the database does not answer. */
export const door = cache(async () => {
  await connection();
  const token = await tokenNow();
  return (await kept(`door ${token}`, () => atTheDoor(databaseUrl(), token, now()), isKnown)).view;
});

/** Who asks, by name; null for nobody, and while nobody has an account. */
export async function askerNow(): Promise<Session | null> {
  const there = await door();
  return there.open ? null : there.asker;
}

/** Every collection that is open to whoever asks; as it was last known while the database does not answer. */
export const openNow = cache(async (): Promise<readonly OpenTo[]> => {
  const there = await door();
  const who = there.open ? "all" : (there.asker?.accountId ?? "nobody");
  return (await kept(`collections ${who}`, () => collectionsOpenTo(databaseUrl(), there, now()))).view;
});

/** The collection that is shown: the one chosen, else the only one of the keeper's own, else the demo; null where none is. */
function shownOf(all: readonly OpenTo[], chosen: string | null): OpenTo | null {
  const named = all.find(({ collection }) => collection.id === chosen);
  if (named) return named;
  const own = all.filter(({ collection }) => !collection.isDemo);
  return own.length <= 1 ? (own[0] ?? all[0] ?? null) : null;
}

/** The context of a collection for whoever asks. */
async function contextIn({ collection, role }: OpenTo, device: string): Promise<Context> {
  const asker = await askerNow();
  const who = asker ? { actor: signed(asker), accountId: asker.accountId } : { actor: device };
  return contextOf(databaseUrl(), collection, { ...who, role, now: now() });
}

/** The context of a request: the collection it is about and who asks; null where no collection is chosen or there. */
export async function contextFor({ collectionId, device }: Asked): Promise<Context | null> {
  const shown = shownOf(await openNow(), collectionId);
  return shown && contextIn(shown, device);
}

/** The contexts of the collections that whoever asks owns. */
export async function ownedContexts(): Promise<Context[]> {
  const { device } = await asked();
  const owned = (await openNow()).filter(({ role }) => may(role, "own"));
  return Promise.all(owned.map((one) => contextIn(one, device)));
}

/** What was done with the collection last. Read before what a page shows, so that nothing between the two is missed. */
export async function markNow(context: Context): Promise<string> {
  return (await kept(`${context.collection.id} mark`, () => readRevision(context))).view;
}

/** Asks, however long after this request, whether a collection may still be seen by whoever sent it. */
export async function stillOpen(collectionId: string): Promise<() => Promise<boolean>> {
  const token = await tokenNow();
  return async () => {
    const open = await collectionsOpenTo(databaseUrl(), await atTheDoor(databaseUrl(), token, now()), now());
    return open.some(({ collection, role }) => collection.id === collectionId && may(role, "see"));
  };
}

/** What the cookies of this request say. */
export async function asked(): Promise<Asked> {
  const jar = await cookies();
  return {
    collectionId: jar.get(COLLECTION_COOKIE)?.value ?? null,
    device: deviceName(decoded(jar.get(DEVICE_COOKIE)?.value)),
  };
}

/** From where and when this request comes. */
export async function callerNow(): Promise<Caller> {
  const address = (await headers()).get(ADDRESS_HEADER) ?? "unknown";
  return { databaseUrl: databaseUrl(), address, now: now() };
}

function decoded(value: string | undefined): string | undefined {
  try {
    return value && decodeURIComponent(value);
  } catch {
    return undefined;
  }
}

/** The context of this page, or null. Asking for it makes a page render anew at every visit. */
export const contextIfAny = cache(async (): Promise<Context | null> => contextFor(await asked()));

/**
 * The context of this page for whoever may see it; leads to the first page where no collection is chosen, and to one that says
 * so where it is not open to them.
 */
export async function currentContext(right: Right = "read"): Promise<Context> {
  const context = (await contextIfAny()) ?? redirect("/begin");
  return may(context.role, right) ? context : redirect("/closed");
}
