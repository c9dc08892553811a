import { usualSettings, usualSpoons } from "@/core/record/facts/settings";
import type { BeginCollection } from "@/core/record/facts/commands";
import { connect } from "@/db/connection";
import type { Asks } from "@/db/query";
import * as accounts from "@/db/stores/access/accounts";
import * as collections from "@/db/stores/collections";
import { addPlace } from "../../places/commands/addPlace";
import { contextOf } from "../../shared/context";
import { expectOk, inBatch, type Outcome } from "../../shared/outcome";

/** Makes somebody the owner of a collection that is there. */
export function ownCollection(databaseUrl: string, collectionId: string, accountId: string): Promise<void> {
  return own({ sequelize: connect(databaseUrl), transaction: undefined }, collectionId, accountId);
}

function own(asks: Asks, collectionId: string, accountId: string): Promise<void> {
  return accounts.setMembership(asks, collectionId, accountId, { role: "owner", from: null, until: null });
}

/** Begins a collection of the keeper's own, with a first room and, if it has a name, a shelf in it. Beginning it again changes nothing. */
export async function beginCollection(
  databaseUrl: string,
  who: { readonly actor: string; readonly now: Date; readonly accountId: string | null },
  command: BeginCollection,
): Promise<Outcome<{ id: string }>> {
  const sequelize = connect(databaseUrl);
  if (!(await collections.knowsZone({ sequelize, transaction: undefined }, command.timeZone)))
    return { ok: false, problems: [{ path: "timeZone", code: "no_such_zone" }] };
  const { id, room, roomId, shelf, shelfId, celsius, readingId, ...chosen } = command;
  return sequelize.transaction(async (transaction) => {
    await sequelize.query("select pg_advisory_xact_lock(hashtextextended(:id, 0))", {
      replacements: { id },
      transaction,
    });
    if (await collections.find({ sequelize, transaction }, id)) return { ok: true, value: { id } };
    const spoons = usualSpoons[chosen.units];
    const collection = { ...usualSettings, ...chosen, spoons, id, isDemo: false, bottles: [] };
    await collections.add({ sequelize, transaction }, collection, who.now);
    if (who.accountId) await own({ sequelize, transaction }, id, who.accountId);
    await inBatch(
      contextOf(databaseUrl, { ...collection, settingsVersion: 1, toldElsewhere: null }, { ...who, role: "owner" }),
      transaction,
      async (context) => {
        const first = { id: roomId, name: room, kind: "room" as const, parentId: null, celsius, readingId };
        expectOk(await addPlace(context, first));
        if (shelf === "") return;
        const within = { id: shelfId, name: shelf, kind: "shelf" as const, parentId: roomId, celsius: null, readingId };
        expectOk(await addPlace(context, within));
      },
    );
    return { ok: true, value: { id } };
  });
}
