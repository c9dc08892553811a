import { v7 as uuidv7 } from "uuid";
import { QueryTypes, type Sequelize } from "sequelize";
import { usualSettings } from "../../src/core/record/facts/settings";
import { recordAct as recordActShape } from "../../src/core/record/facts/kinds/act";
import { recordLook as recordLookShape } from "../../src/core/record/facts/kinds/look";
import { addDays } from "../../src/core/shared/days";
import * as collections from "../../src/db/stores/collections";
import { addPlace } from "../../src/operations/places/commands/addPlace";
import { adoptPlan } from "../../src/operations/cases/commands/adoptPlan";
import { today, type Collection, type Context } from "../../src/operations/shared/context";
import { expectOk } from "../../src/operations/shared/outcome";
import { recordLook } from "../../src/operations/looks/commands/recordLook";
import { deriveStale } from "../../src/operations/plants/commands/deriveStale";
import { judgeStale } from "../../src/operations/cases/commands/judgeStale";
import { recordAct } from "../../src/operations/acts/commands/recordAct";
import { withOffset } from "../../src/zones";

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
): Promise<{ context: Context; caseId: string; plantId: string }> {
  const collection = {
    id: uuidv7(),
    ...usualSettings,
    name: "Large",
    timeZone: "Europe/Lisbon",
    alcoholPercent: 96,
    isDemo: false,
    bottles: [],
    settingsVersion: 1,
    toldElsewhere: null,
  } satisfies Collection;
  const context: Context = { sequelize, collection, actor: "benchmark", role: "owner", now };
  await collections.add(
    { sequelize, transaction: undefined },
    collection,
    new Date(now.getTime() - size.weeks * 7 * 86_400_000),
  );
  const room = uuidv7();
  const first = { ...context, now: new Date(now.getTime() - size.weeks * 7 * 86_400_000) };
  const place = { readingId: uuidv7(), celsius: 22 };
  expectOk(await addPlace(first, { ...place, id: room, name: "Glasshouse", kind: "room", parentId: null }));
  for (let i = 0; i < size.shelves; i++) {
    const shelf = { ...place, celsius: null, name: `Shelf ${i + 1}`, kind: "shelf" as const, parentId: room };
    expectOk(await addPlace(first, { ...shelf, id: uuidv7(), readingId: uuidv7() }));
  }
  await fill(sequelize, collection.id, now, size);
  await deriveStale(context);
  const ids = (
    await sequelize.query<{ id: string }>("select id from plants where collection_id = :c order by code", {
      replacements: { c: collection.id },
      type: QueryTypes.SELECT,
    })
  ).map(({ id }) => id);

  const caseIds: string[] = [];
  for (let i = 0; i < size.openCases; i++) {
    caseIds.push(await runningCase(context, ids[Math.floor((i * ids.length) / size.openCases)]!));
  }
  await judgeStale(context);
  await sequelize.query("analyze");
  return { context, caseId: caseIds[0]!, plantId: ids[1]! };
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
    `insert into placements (collection_id, id, plant_id, place_id, slot, happened_at, recorded_at)
     select :c, gen_random_uuid(), p.id, s.id, p.n, p.added_at, p.added_at
     from (select id, added_at, row_number() over (order by code) as n from plants where collection_id = :c) p
     join (select id, row_number() over (order by position) - 1 as n from places where collection_id = :c and kind = 'shelf') s
       on s.n = p.n % :shelves`,
    { replacements },
  );
  // What operations would have made for each plant is derived from here on.
  await sequelize.query(
    `insert into plant_states (collection_id, plant_id, place_id, apart, state, petals, look_due_on, look_due_for, facts_version, current)
     select :c, t.plant_id, t.place_id, false, 'clear', 0, t.happened_at::date, 'round', 0, false
     from placements t where t.collection_id = :c`,
    { replacements },
  );
  await sequelize.query(
    `insert into looks (collection_id, id, plant_id, tool, spots, note, happened_at, recorded_at)
     select :c, gen_random_uuid(), p.id, 'lamp', '{axil,underside,newLeaf}', '', t.at, t.at
     from (select id, row_number() over (order by code) as n from plants where collection_id = :c) p
     cross join generate_series(1, :weeks) w
     cross join lateral (
       -- A fifth of them each day, one after the other.
       select :now::timestamptz - w * interval '7 days' + p.n % 5 * interval '1 day' - p.n * interval '4 seconds' as at) t`,
    { replacements },
  );
}

async function runningCase(context: Context, plantId: string): Promise<string> {
  const back = (days: number) => ({ ...context, now: new Date(context.now.getTime() - days * 86_400_000) });
  const caseId = uuidv7();
  const find = { id: uuidv7(), caseId, pest: "mealybug", severity: "light", count: 5, removed: false } as const;
  const found = back(10);
  const at = withOffset(found.now, found.collection.timeZone);
  const look = recordLookShape.parse({
    id: uuidv7(),
    plantId,
    at,
    tool: "lamp",
    spots: ["axil"],
    note: "",
    finds: [find],
  });
  expectOk(await recordLook(found, look));
  const dates = [0, 7, 14, 21].map((days) => addDays(today(found), days));
  const mix = { mix: "alcoholHalf", technique: "dab" } as const;
  expectOk(await adoptPlan(found, { id: uuidv7(), caseId, ...mix, basis: "own", dates }));
  const act = { kind: "contact", ...mix, volumeMl: 5, spots: ["axil"] };
  const done = { id: uuidv7(), plantId, placeId: null, caseId, stepId: null, act, at, note: "", alreadyDone: false };
  expectOk(await recordAct(found, recordActShape.parse(done)));
  return caseId;
}
