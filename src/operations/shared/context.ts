import type { Sequelize, Transaction } from "sequelize";
import { may, type Right, type RoleId } from "@/core/access/roles";
import type { Day } from "@/core/shared/days";
import { connect, type Scope } from "@/db/connection";
import * as collections from "@/db/stores/collections";
import { dayIn } from "@/zones";

export type { Collection } from "@/db/stores/collections";

/** What every operation is given: where it works, for which collection, who asks, and what time it is. */
export interface Context {
  readonly sequelize: Sequelize;
  readonly collection: collections.Collection;
  /** The name under which facts are written down, and the account of whoever does; none where left out. */
  readonly actor: string;
  readonly accountId?: string | null;
  /** Who that is to this collection. */
  readonly role: RoleId;
  readonly now: Date;
  /** Set by a caller that does many commands as one, such as the loading of a whole collection. */
  readonly batch?: Batch;
}

/** Commands done in one transaction: what only touches single plants is derived anew once, at its end. */
export interface Batch {
  readonly transaction: Transaction;
  readonly touched: Set<string>;
}

/** The collections of a database, the oldest first. */
export function openCollections(databaseUrl: string): Promise<collections.Collection[]> {
  return collections.all({ sequelize: connect(databaseUrl), transaction: undefined });
}

/** The context of one collection of a database. */
export function contextOf(
  databaseUrl: string,
  collection: collections.Collection,
  who: Pick<Context, "actor" | "accountId" | "role" | "now">,
): Context {
  return { sequelize: connect(databaseUrl), collection, ...who };
}

/** Somebody asked for what their role does not let them do or see. */
export class NotAllowed extends Error {
  constructor(role: RoleId, right: Right) {
    super(`a ${role} has no right to ${right}`);
  }
}

/** The scope stores work in, within `transaction` if there is one. Throws {@link NotAllowed} without the right to it. */
export function scopeOf(
  context: Context,
  right: Right,
  transaction: Transaction | undefined = context.batch?.transaction,
): Scope {
  if (!may(context.role, right)) throw new NotAllowed(context.role, right);
  const { sequelize, now, actor, accountId = null, collection } = context;
  return { sequelize, transaction, collectionId: collection.id, timeZone: collection.timeZone, now, actor, accountId };
}

/** The day that `instant` falls on in the collection's time zone. */
export function dayOf({ collection }: Pick<Context, "collection">, instant: Date): Day {
  return dayIn(instant, collection.timeZone);
}

/** The day it is in the collection's time zone. */
export function today(context: Pick<Context, "collection" | "now">): Day {
  return dayOf(context, context.now);
}
