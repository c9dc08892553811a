import { Sequelize } from "sequelize";
import { afterAll, describe, expect, inject, it } from "vitest";
import { migrate, migrator } from "./migrate";

describe("migrations", () => {
  const schema = new Sequelize(inject("databaseUrl"), { dialect: "postgres", logging: false });
  afterAll(() => schema.close());

  it("go up, down and up again, and several processes may start at once", async () => {
    await Promise.all([migrate(schema), migrate(schema)]);
    const names = (await migrator(schema).executed()).map((migration) => migration.name);
    expect(names.length).toBeGreaterThanOrEqual(2);
    await migrator(schema).down({ to: 0 });
    expect(await schema.getQueryInterface().showAllTables()).toEqual(["migrations"]);
    expect(await migrate(schema)).toEqual(names);
    expect(await migrate(schema)).toEqual([]);
  });
});
