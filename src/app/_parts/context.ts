import "server-only";
import { cookies } from "next/headers";
import { redirect } from "next/navigation";
import { connection } from "next/server";
import { cache } from "react";
import { now } from "@/clock";
import { databaseUrl } from "@/env";
import { contextOf, openCollections, type Collection, type Context } from "@/operations/context";
import { COLLECTION_COOKIE, DEVICE_COOKIE } from "@/ui/shell/cookies";
import { text } from "@/core/fields";
import { kept } from "./kept";

/** What a request says of itself: which collection it is about, and the name of the device. */
interface Asked {
  readonly collectionId: string | null;
  readonly device: string;
}

/** A name for what a device that has none writes down. */
export const NO_NAME = "unnamed device";

/** The name a device was given, as it may be written down. */
function deviceName(given: string | undefined): string {
  return text(40).safeParse(given ?? "").data || NO_NAME;
}

/** Every collection there is; as it was last known while the database does not answer. */
export const collectionsNow = cache(async (): Promise<readonly Collection[]> => {
  await connection();
  return (await kept("collections", () => openCollections(databaseUrl()))).view;
});

/** The collection that is shown: the one chosen, else the only one of the keeper's own, else the demo; null where none is. */
function shownOf(all: readonly Collection[], chosen: string | null): Collection | null {
  const named = all.find(({ id }) => id === chosen);
  if (named) return named;
  const own = all.filter(({ isDemo }) => !isDemo);
  return own.length <= 1 ? (own[0] ?? all[0] ?? null) : null;
}

/** The context of a request: the collection it is about and who asks; null where no collection is chosen or there. */
export async function contextFor({ collectionId, device }: Asked): Promise<Context | null> {
  const collection = shownOf(await collectionsNow(), collectionId);
  return collection && contextOf(databaseUrl(), collection, { actor: device, role: "owner", now: now() });
}

/** What the cookies of this request say. */
export async function asked(): Promise<Asked> {
  const jar = await cookies();
  return {
    collectionId: jar.get(COLLECTION_COOKIE)?.value ?? null,
    device: deviceName(decoded(jar.get(DEVICE_COOKIE)?.value)),
  };
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

/** The context of this page; leads to the first page where no collection is chosen. */
export async function currentContext(): Promise<Context> {
  return (await contextIfAny()) ?? redirect("/begin");
}
