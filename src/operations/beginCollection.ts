import { usualSettings } from "@/core/facts/settings";
import type { BeginCollection } from "@/core/facts/deeds";
import { connect } from "@/db/connection";
import * as collections from "@/db/stores/collections";
import { addPlace } from "./addPlace";
import { contextOf } from "./context";
import { expectOk, inBatch, type Outcome } from "./outcome";

/** Begins a collection of the keeper's own, with a first room and, if it has a name, a shelf in it. Beginning it again changes nothing. */
export async function beginCollection(
  databaseUrl: string,
  who: { readonly actor: string; readonly now: Date },
  deed: BeginCollection,
): Promise<Outcome<{ id: string }>> {
  const sequelize = connect(databaseUrl);
  if (!(await collections.knowsZone(sequelize, deed.timeZone)))
    return { ok: false, problems: [{ path: "timeZone", code: "no_such_zone" }] };
  const { id, room, roomId, shelf, shelfId, celsius, readingId, ...chosen } = deed;
  return sequelize.transaction(async (transaction) => {
    await sequelize.query("select pg_advisory_xact_lock(hashtextextended(:id, 0))", {
      replacements: { id },
      transaction,
    });
    if (await collections.find(sequelize, id, transaction)) return { ok: true, value: { id } };
    const collection = { ...usualSettings, ...chosen, id, isDemo: false };
    await collections.add(sequelize, collection, who.now, transaction);
    await inBatch(contextOf(databaseUrl, collection, { ...who, role: "owner" }), transaction, async (context) => {
      const first = { id: roomId, name: room, kind: "room" as const, parentId: null, celsius, readingId };
      expectOk(await addPlace(context, first));
      if (shelf === "") return;
      const within = { id: shelfId, name: shelf, kind: "shelf" as const, parentId: roomId, celsius: null, readingId };
      expectOk(await addPlace(context, within));
    });
    return { ok: true, value: { id } };
  });
}
