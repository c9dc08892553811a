import { randomUUID } from "node:crypto";
import { Sequelize } from "sequelize";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { connect, disconnect } from "../src/db/connection";
import { migrate } from "../src/db/migrate";
import { openContext, type Context } from "../src/operations/context";
import { readBenches } from "../src/operations/readBenches";
import { readCases } from "../src/operations/readCases";
import { readToday } from "../src/operations/readToday";
import { loadDemo } from "./loadDemo";

const NOW = new Date("2026-11-24T12:00:00Z");

describe("the demo collection", () => {
  const name = `wary_demo_${randomUUID().replaceAll("-", "")}`;
  const admin = new Sequelize(inject("databaseUrl"), { dialect: "postgres", logging: false });
  const url = Object.assign(new URL(inject("databaseUrl")), { pathname: `/${name}` }).href;
  let context: Context;
  beforeAll(async () => {
    await admin.query(`create database ${name}`);
    const sequelize = connect(url);
    await migrate(sequelize);
    // Two processes may find the database empty at once.
    await Promise.all([loadDemo(sequelize, NOW), loadDemo(sequelize, NOW)]);
    context = await openContext(url, NOW);
  });
  afterAll(async () => {
    await disconnect(url);
    await admin.query(`drop database ${name} with (force)`);
    await admin.close();
  });

  it("holds what it promises: 48 plants, one given up, three cases running, one find loose, one arrival", async () => {
    const cards = (await readBenches(context)).flatMap((room) => room.benches.flatMap((bench) => bench.plants));
    expect(cards).toHaveLength(47);
    const count = (state: string) => cards.filter((card) => card.state === state).length;
    expect([count("infested"), count("surer"), count("new")]).toEqual([3, 1, 1]);
    expect(count("overdue")).toBeGreaterThan(0);
    expect(count("atRisk")).toBeGreaterThan(5);
    expect(count("clear")).toBeGreaterThan(10);
    const cases = await readCases(context);
    expect(cases.closed.map((c) => c.closing.outcome).toSorted()).toEqual(["clear", "givenUp"]);
    expect(cases.open).toHaveLength(4);
  });

  it("shows a sitting for what is due, the late one first, and the find not yet set apart", async () => {
    const today = await readToday(context);
    expect(today.sittings.map((s) => [s.mix, s.due.map((d) => [d.plant.code, d.daysLate])])).toEqual([
      [
        "soapMild",
        [
          ["L10", 2],
          ["L08", 0],
        ],
      ],
    ]);
    expect(today.sittings[0]!.totalMl).toBe(165);
    expect(today.loose.map((p) => p.code)).toEqual(["L04"]);
    expect(today.unplanned.map((p) => p.plant.code)).toEqual(["L04"]);
    expect(today.apart.map((p) => p.code)).toEqual(["L08", "L10", "N01", "R01"]);
  });
});
