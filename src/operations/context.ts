import type { Sequelize, Transaction } from "sequelize";
import type { Day } from "@/core/climate/days";
import { connect, type Scope } from "@/db/connection";
import * as collections from "@/db/stores/collections";
import { dayIn } from "@/zones";

export type { Collection } from "@/db/stores/collections";

/** What every operation is given: where it works, for which collection, who asks, and what time it is. */
export interface Context {
  readonly sequelize: Sequelize;
  readonly collection: collections.Collection;
  /** The name under which facts are written down. */
  readonly actor: string;
  readonly now: Date;
  /** Set by a caller that does many deeds as one, such as the loading of a whole collection. */
  readonly batch?: Batch;
}

/** Deeds done in one transaction: what only touches single plants is derived anew once, at its end. */
export interface Batch {
  readonly transaction: Transaction;
  readonly touched: Set<string>;
}

/** The collections of a database, the oldest first. */
export function openCollections(databaseUrl: string): Promise<collections.Collection[]> {
  return collections.all(connect(databaseUrl));
}

/** The context of one collection of a database. */
export function contextOf(
  databaseUrl: string,
  collection: collections.Collection,
  who: Pick<Context, "actor" | "now">,
): Context {
  return { sequelize: connect(databaseUrl), collection, ...who };
}

/** The scope stores work in, within `transaction` if there is one. */
export function scopeOf(context: Context, transaction: Transaction | undefined = context.batch?.transaction): Scope {
  const { sequelize, now, actor, collection } = context;
  return { sequelize, transaction, collectionId: collection.id, timeZone: collection.timeZone, now, actor };
}

/** The day that `instant` falls on in the collection's time zone. */
export function dayOf({ collection }: Pick<Context, "collection">, instant: Date): Day {
  return dayIn(instant, collection.timeZone);
}

/** The day it is in the collection's time zone. */
export function today(context: Pick<Context, "collection" | "now">): Day {
  return dayOf(context, context.now);
}
