import { v7 as uuidv7 } from "uuid";
import type { Sequelize } from "sequelize";
import { usualSettings, type Settings } from "../../src/core/facts/deeds";
import { addDays } from "../../src/core/climate/days";
import * as collections from "../../src/db/stores/collections";
import * as plantsStore from "../../src/db/stores/plants";
import { addPlace } from "../../src/operations/addPlace";
import { adoptPlan } from "../../src/operations/adoptPlan";
import { localTimeOf, scopeOf, today, type Context } from "../../src/operations/context";
import { expectOk } from "../../src/operations/outcome";
import { recordLook } from "../../src/operations/recordLook";
import { recordTreatment } from "../../src/operations/recordTreatment";
import { refreshPlantStates } from "../../src/operations/refreshPlantStates";

export interface LargeSize {
  readonly plants: number;
  readonly shelves: number;
  readonly weeks: number;
  readonly openCases: number;
}

/** A collection as large as a club's. Plants and clean looks are written in bulk, cases through the operations. */
export async function buildLargeCollection(
  sequelize: Sequelize,
  now: Date,
  size: LargeSize,
): Promise<{ context: Context; caseId: string }> {
  const collection = {
    id: uuidv7(),
    ...usualSettings,
    name: "Large",
    timeZone: "Europe/Lisbon",
    alcoholPercent: 96,
  } satisfies Settings & { id: string };
  const context: Context = { sequelize, collection, now };
  await collections.add(sequelize, collection, new Date(now.getTime() - size.weeks * 7 * 86_400_000));
  const room = uuidv7();
  expectOk(await addPlace(context, { id: room, name: "Glasshouse", kind: "room", parentId: null, meanC: 22 }));
  for (let i = 0; i < size.shelves; i++) {
    expectOk(
      await addPlace(context, { id: uuidv7(), name: `Shelf ${i + 1}`, kind: "shelf", parentId: room, meanC: 22 }),
    );
  }
  await fill(sequelize, collection.id, now, size);
  const scope = scopeOf(context);
  const ids = await plantsStore.inUse(scope);
  await sequelize.transaction((transaction) => refreshPlantStates(context, scopeOf(context, transaction), ids));

  const caseIds: string[] = [];
  for (let i = 0; i < size.openCases; i++) {
    caseIds.push(await runningCase(context, ids[Math.floor((i * ids.length) / size.openCases)]!));
  }
  await sequelize.query("analyze");
  return { context, caseId: caseIds[0]! };
}

async function fill(sequelize: Sequelize, collectionId: string, now: Date, size: LargeSize): Promise<void> {
  const replacements = { c: collectionId, now, ...size };
  await sequelize.query(
    `insert into plants (collection_id, id, code, name, genus, growth_form, pot_cm, seller, in_flower, added_at)
     select :c, gen_random_uuid(), 'P' || lpad(i::text, 5, '0'), 'Plant ' || i, 'Hoya', 'trailingVine', 12, '', false,
       :now::timestamptz - :weeks * interval '7 days'
     from generate_series(1, :plants) i`,
    { replacements },
  );
  await sequelize.query(
    `insert into placements (collection_id, id, plant_id, place_id, placed_at, recorded_at)
     select :c, gen_random_uuid(), p.id, s.id, p.added_at, p.added_at
     from (select id, added_at, row_number() over (order by code) as n from plants where collection_id = :c) p
     join (select id, row_number() over (order by position) - 1 as n from places where collection_id = :c and kind = 'shelf') s
       on s.n = p.n % :shelves`,
    { replacements },
  );
  await sequelize.query(
    `insert into looks (collection_id, id, plant_id, tool, spots, note, looked_at, recorded_at)
     select :c, gen_random_uuid(), p.id, 'lamp', '{axil,underside,newLeaf}', '', t.at, t.at
     from (select id, row_number() over (order by code) as n from plants where collection_id = :c) p
     cross join generate_series(1, :weeks) w
     cross join lateral (select :now::timestamptz - w * interval '7 days' + p.n % 5 * interval '1 day' as at) t`,
    { replacements },
  );
}

async function runningCase(context: Context, plantId: string): Promise<string> {
  const back = (days: number) => ({ ...context, now: new Date(context.now.getTime() - days * 86_400_000) });
  const caseId = uuidv7();
  const find = { id: uuidv7(), caseId, pest: "mealybug", severity: "light", count: 5, removed: false } as const;
  const found = back(10);
  const at = localTimeOf(found, found.now);
  expectOk(
    await recordLook(found, { id: uuidv7(), plantId, at, tool: "lamp", spots: ["axil"], note: "", finds: [find] }),
  );
  const dates = [0, 7, 14, 21].map((days) => addDays(today(found), days));
  const mix = { mix: "alcoholHalf", technique: "dab" } as const;
  expectOk(await adoptPlan(found, { id: uuidv7(), caseId, ...mix, basis: "own", dates }));
  const treatment = { id: uuidv7(), caseId, stepId: null, ...mix, volumeMl: 5, spots: ["axil" as const], note: "" };
  expectOk(await recordTreatment(found, { ...treatment, at, alreadyDone: false }));
  return caseId;
}
