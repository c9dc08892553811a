import { Sequelize } from "sequelize";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { v7 as uuidv7 } from "uuid";
import { migrate } from "./migrate";

/** The rules that stand in the database itself, tried past every check of the application. */
describe("constraints", () => {
  const sequelize = new Sequelize(inject("databaseUrl"), { dialect: "postgres", logging: false });
  const c = uuidv7();
  const place = uuidv7();
  const plant = uuidv7();
  const look = uuidv7();
  const sql = (text: string) => sequelize.query(text.replaceAll("$c", `'${c}'`).replaceAll("$new", `'${uuidv7()}'`));
  const walk = uuidv7();
  const onWalk = `insert into looks (collection_id, id, plant_id, walk_id, tool, spots, note, happened_at, recorded_at)
    values ($c, $new, '${plant}', '${walk}', 'eye', '{axil}', '', now(), now())`;
  const aWalk = (id: string, scope: string, placeId: string | null) =>
    `insert into walks values ($c, '${id}', '${scope}', ${placeId ? `'${placeId}'` : "null"}, 'lamp', 'likely', now(), null, now())`;
  const aSkip = `insert into skips values ($c, $new, '${walk}', '${plant}', 'noTime', now(), now())`;
  const aPhoto = (width: number, bytes: string) =>
    `insert into photos (collection_id, id, look_id, plant_id, media_type, width, height, bytes, happened_at, recorded_at)
     values ($c, $new, '${look}', '${plant}', 'image/jpeg', ${width}, 10, ${bytes}, now(), now())`;
  const aCase = `insert into cases (collection_id, id, plant_id, pest, aliases, opened_at, finds)
    values ($c, $new, '${plant}', 'aphid', '{}', now(), array[now()])`;
  const anAct = (plantId: string | null, placeId: string | null, act = '{"kind":"trap"}') =>
    `insert into acts (collection_id, id, plant_id, place_id, act, note, happened_at, recorded_at)
     values ($c, $new, ${plantId ? `'${plantId}'` : "null"}, ${placeId ? `'${placeId}'` : "null"}, '${act}', '', now(), now())`;
  const aReading = (celsius: number, source = "about") =>
    `insert into readings (collection_id, id, place_id, celsius, source, happened_at, recorded_at)
     values ($c, $new, '${place}', ${celsius}, '${source}', now(), now())`;
  const aPlant = (id: string, code: string, pot = 12) =>
    `insert into plants values ($c, '${id}', '${code}', 'n', '', 'fern', ${pot}, null, '', false, now())`;

  beforeAll(async () => {
    await migrate(sequelize);
    await sql(
      `insert into collections (id, name, time_zone, look_every_days, units, spoons, alcohol_percent, created_at, owns)
       values ($c, 'n', 'Etc/UTC', 7, 'metric', 'metric', 96, now(), '{lamp}')`,
    );
    await sql(`insert into places (collection_id, id, name, kind) values ($c, '${place}', 'p', 'shelf')`);
    await sql(aPlant(plant, "P1"));
    await sql(`insert into looks values ($c, '${look}', '${plant}', 'eye', '{axil}', '', now(), now())`);
    await sql(aCase);
    await sql(aWalk(walk, "everything", null));
    await sql(onWalk);
    await sql(aSkip);
  });
  afterAll(() => sequelize.close());

  it.each([
    ["a second open case of one pest", aCase, "cases_one_open"],
    ["a code in use, in other letters", aPlant(uuidv7(), "p1"), "plants_code_in_use"],
    ["a pot wider than two metres", aPlant(uuidv7(), "P2", 500), "pot_cm"],
    [
      "a look in the future",
      `insert into looks values ($c, $new, '${plant}', 'eye', '{axil}', '', now() + interval '1 hour', now())`,
      "check",
    ],
    ["a look at nothing", `insert into looks values ($c, $new, '${plant}', 'eye', '{}', '', now(), now())`, "spots"],
    [
      "a look at a plant of no collection",
      `insert into looks values ($new, $new, '${plant}', 'eye', '{axil}', '', now(), now())`,
      "foreign key",
    ],
    ["a struck-out fact without a reason", `update looks set voided_at = now() where id = '${look}'`, "check"],
    [
      "a find of no animal",
      `insert into finds values ($c, $new, '${look}', $new, 'aphid', 'light', 0, false)`,
      "count",
    ],
    ["an act on nothing", anAct(null, null), "check"],
    ["an act on a plant and a place", anAct(plant, place), "check"],
    ["an act of no kind", anAct(plant, null, "{}"), "act"],
    ["a reading hotter than a desert", aReading(60), "celsius"],
    ["a reading of a guess", aReading(20, "guess"), "source"],
    ["a lamp of another kind", `update collections set owns = '{candle}' where id = $c`, "owns"],
    ["a walk of one place without the place", aWalk(uuidv7(), "place", null), "check"],
    ["a walk of everything at one place", aWalk(uuidv7(), "everything", place), "check"],
    [
      "a walk that ended before it began",
      `update walks set ended_at = started_at - interval '1 day' where id = '${walk}'`,
      "check",
    ],
    ["a look on a walk that is none", onWalk.replace(walk, uuidv7()), "foreign key"],
    ["a photo wider than 1600", aPhoto(1601, "'x'"), "width"],
    ["a photo of more than 4 MB", aPhoto(10, "decode(repeat('00', 4000001), 'hex')"), "bytes"],
    ["an earth with three halves", `update collections set hemisphere = 'east' where id = $c`, "hemisphere"],
  ])("refuse %s", async (_why, statement, named) => {
    const refusal = await sql(statement).then(
      () => "accepted",
      (error: { parent?: Error }) => error.parent?.message ?? String(error),
    );
    expect(refusal).toContain(named);
  });
});
