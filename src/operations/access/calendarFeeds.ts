import { createHash, randomBytes } from "node:crypto";
import { connect } from "@/db/connection";
import * as collections from "@/db/stores/collections";
import * as feeds from "@/db/stores/access/calendarFeeds";
import type { CloseFeed, OpenFeed } from "@/core/access/calendarFeeds";
import { contextOf, scopeOf, type Context } from "../shared/context";
import { transact, refuse, type Outcome } from "../shared/outcome";

const TOKEN_BYTES = 24;
const MOST_FEEDS = 20;
/** What an address is recognised by; the address itself is nowhere kept. */
const hashOf = (token: string) => createHash("sha256").update(token).digest("hex");

/** Makes a private address of the calendar. It is told once. */
export function openFeed(context: Context, { id, name }: OpenFeed): Promise<Outcome<{ id: string; token: string }>> {
  return transact(context, "own", id, async (scope) => {
    const all = await feeds.all(scope);
    // Sent again it cannot be told again: it is made anew under another id.
    if (all.some((one) => one.id === id)) refuse("", "id_taken");
    if (all.length >= MOST_FEEDS) refuse("", "too_many_rows");
    const token = randomBytes(TOKEN_BYTES).toString("base64url");
    await feeds.add(scope, { id, name, tokenHash: hashOf(token) });
    return { id, token };
  });
}

/** Ends an address: whoever asks there is told nothing more. */
export function closeFeed(context: Context, { id }: CloseFeed): Promise<Outcome<{ id: string }>> {
  return transact(context, "own", id, async (scope) => {
    await feeds.drop(scope, id);
    return { id };
  });
}

/** The addresses there are, without what opens them. */
export function readFeeds(context: Context): Promise<feeds.Feed[]> {
  return feeds.all(scopeOf(context, "own"));
}

/** The context in which an address is answered: it reads, and no more; null for an address that opens nothing. */
export async function contextOfFeed(databaseUrl: string, token: string, now: Date): Promise<Context | null> {
  const sequelize = connect(databaseUrl);
  const id = await feeds.collectionOf(sequelize, hashOf(token), now);
  const collection = id && (await collections.find({ sequelize, transaction: undefined }, id));
  return collection ? contextOf(databaseUrl, collection, { actor: "calendar", role: "reader", now }) : null;
}
