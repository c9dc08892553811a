import { TZDate } from "@date-fns/tz";
import { format } from "date-fns";
import type { Sequelize, Transaction } from "sequelize";
import type { Day } from "@/core/climate/days";
import { connect, type Scope } from "@/db/connection";
import * as collections from "@/db/stores/collections";

/** What every operation is given: where it works, for which collection, and what time it is. */
export interface Context {
  readonly sequelize: Sequelize;
  readonly collection: collections.Collection;
  readonly now: Date;
  /** Set by a caller that has opened a transaction of its own, such as the import of a whole collection. */
  readonly transaction?: Transaction;
}

/** The context of the collection in a database; throws when the database holds none. */
export async function openContext(databaseUrl: string, now: Date): Promise<Context> {
  const sequelize = connect(databaseUrl);
  const collection = await collections.oldest(sequelize);
  if (!collection) throw new Error("The database holds no collection yet: start Wary Petal once with `npm start`.");
  return { sequelize, collection, now };
}

/** The scope stores work in, within `transaction` if there is one. */
export function scopeOf(context: Context, transaction: Transaction | undefined = context.transaction): Scope {
  const { id, timeZone } = context.collection;
  return { sequelize: context.sequelize, transaction, collectionId: id, timeZone };
}

/** The day that `instant` falls on in the collection's time zone. */
export function dayOf(context: Context, instant: Date): Day {
  return format(new TZDate(instant, context.collection.timeZone), "yyyy-MM-dd") as Day;
}

/** The day it is in the collection's time zone. */
export function today(context: Context): Day {
  return dayOf(context, context.now);
}

/** The instant of a wall time in the collection's zone, `YYYY-MM-DDTHH:mm`. */
export function instantOf(context: Context, localTime: string): Date {
  const [year, month, date, hour, minute] = localTime.split(/[-T:]/).map(Number) as [
    number,
    number,
    number,
    number,
    number,
  ];
  return new Date(new TZDate(year, month - 1, date, hour, minute, context.collection.timeZone).getTime());
}

/** The wall time of an instant in the collection's zone, as a form field wants it. */
export function localTimeOf(context: Context, instant: Date): string {
  return format(new TZDate(instant, context.collection.timeZone), "yyyy-MM-dd'T'HH:mm");
}
