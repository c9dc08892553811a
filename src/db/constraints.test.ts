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
  const aCase = `insert into cases values ($c, $new, '${plant}', 'aphid', '${look}', true, now(), now())`;
  const aPlant = (id: string, code: string, pot = 12) =>
    `insert into plants values ($c, '${id}', '${code}', 'n', '', 'fern', ${pot}, null, '', false, now())`;

  beforeAll(async () => {
    await migrate(sequelize);
    await sql(`insert into collections values ($c, 'n', 'UTC', 7, 'metric', 'metric', 96, now())`);
    await sql(`insert into places (collection_id, id, name, kind, mean_c) values ($c, '${place}', 'p', 'shelf', 20)`);
    await sql(aPlant(plant, "P1"));
    await sql(`insert into looks values ($c, '${look}', '${plant}', 'eye', '{axil}', '', now(), now())`);
    await sql(aCase);
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
      `insert into finds values ($c, $new, '${look}', (select id from cases where collection_id = $c), 'aphid', 'light', 0, false)`,
      "live_count",
    ],
  ])("refuse %s", async (_why, statement, named) => {
    const refusal = await sql(statement).then(
      () => "accepted",
      (error: { parent?: Error }) => error.parent?.message ?? String(error),
    );
    expect(refusal).toContain(named);
  });
});
