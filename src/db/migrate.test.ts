import { fork } from "node:child_process";
import { once } from "node:events";
import { randomUUID } from "node:crypto";
import path from "node:path";
import { Sequelize } from "sequelize";
import { afterAll, describe, expect, inject, it } from "vitest";
import { migrate, migrateDown } from "./migrate";

const admin = new Sequelize(inject("databaseUrl"), { dialect: "postgres", logging: false });
afterAll(() => admin.close());

/** A database of its own, which goes again. */
async function withDatabase<T>(work: (url: string) => Promise<T>): Promise<T> {
  const name = `wary_migrate_${randomUUID().replaceAll("-", "")}`;
  await admin.query(`create database ${name}`);
  try {
    return await work(Object.assign(new URL(inject("databaseUrl")), { pathname: `/${name}` }).href);
  } finally {
    await admin.query(`drop database ${name} with (force)`);
  }
}

const connected = async <T>(url: string, work: (sequelize: Sequelize) => Promise<T>): Promise<T> => {
  const sequelize = new Sequelize(url, { dialect: "postgres", logging: false });
  return work(sequelize).finally(() => sequelize.close());
};

describe("migrations", () => {
  it("go up, down and up again, and several processes may start at once", async () => {
    await withDatabase((url) =>
      connected(url, async (sequelize) => {
        const [names] = (await Promise.all([migrate(sequelize), migrate(sequelize)])).filter((all) => all.length > 0);
        expect(names!.length).toBeGreaterThanOrEqual(5);
        expect((await migrateDown(sequelize)).toSorted()).toEqual(names);
        expect(await sequelize.getQueryInterface().showAllTables()).toEqual(["migrations"]);
        expect(await migrate(sequelize)).toEqual(names);
        expect(await migrate(sequelize)).toEqual([]);
      }),
    );
  });

  it(
    "cut off at thirty moments of their half second, the next start finishes every time",
    { timeout: 300_000 },
    async () => {
      const script = path.resolve(import.meta.dirname, "testing/migrateOnly.ts");
      const startUp = await withDatabase(async (url) => {
        const begun = Date.now();
        await once(fork(script, [url], { execArgv: ["--import", "tsx"], silent: true }), "exit");
        return Date.now() - begun;
      });
      for (let cut = 0; cut < 30; cut++) {
        await withDatabase(async (url) => {
          const child = fork(script, [url], { execArgv: ["--import", "tsx"], silent: true });
          const exited = once(child, "exit");
          // It says when it begins, so that the cuts fall within the work and not within the starting of the program.
          await Promise.race([once(child, "message"), exited]);
          await new Promise((resolve) => setTimeout(resolve, (cut * Math.min(600, startUp)) / 30));
          child.kill(cut % 2 === 0 ? "SIGKILL" : "SIGINT");
          await exited;
          await connected(url, async (sequelize) => {
            await migrate(sequelize);
            expect(await migrate(sequelize)).toEqual([]);
            expect((await sequelize.getQueryInterface().showAllTables()).length).toBeGreaterThan(10);
          });
        });
      }
    },
  );
});
