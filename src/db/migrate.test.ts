import { fork } from "node:child_process";
import { once } from "node:events";
import { randomUUID } from "node:crypto";
import path from "node:path";
import { Sequelize } from "sequelize";
import { afterAll, describe, expect, inject, it } from "vitest";
import { driver } from "./driver";
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
  const sequelize = new Sequelize(url, { dialect: "postgres", dialectModule: driver, logging: false });
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

  /** Cuts a start off at a moment of its work, and lets the next one finish. */
  const cutOff = (cut: (url: string) => Promise<void>) =>
    withDatabase(async (url) => {
      await cut(url);
      await connected(url, async (sequelize) => {
        await migrate(sequelize);
        expect(await migrate(sequelize)).toEqual([]);
        expect((await sequelize.getQueryInterface().showAllTables()).length).toBeGreaterThan(10);
      });
    });
  const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

  it(
    "cut off at twenty-six moments by the loss of its connection, the next start finishes every time",
    { timeout: 180_000 },
    async () => {
      const takes = await withDatabase((url) =>
        connected(url, async (sequelize) => {
          const begun = Date.now();
          await migrate(sequelize);
          return Date.now() - begun;
        }),
      );
      for (let cut = 0; cut < 26; cut++)
        await cutOff((url) =>
          connected(url, async (sequelize) => {
            const database = new URL(url).pathname.slice(1);
            const migrating = migrate(sequelize).catch(() => {});
            await pause((cut * takes) / 26);
            // As it is when the process dies: the server finds nobody at the other end.
            await admin.query("select pg_terminate_backend(pid) from pg_stat_activity where datname = :database", {
              replacements: { database },
            });
            await migrating;
          }),
        );
    },
  );

  it("killed with its process at four moments, too", async () => {
    const script = path.resolve(import.meta.dirname, "testing/migrateOnly.ts");
    for (let cut = 0; cut < 4; cut++)
      await cutOff(async (url) => {
        const child = fork(script, [url], { execArgv: ["--import", "tsx"], silent: true });
        const exited = once(child, "exit");
        // It says when it begins, so that the cuts fall within the work and not within the starting of the program.
        await Promise.race([once(child, "message"), exited]);
        await pause(cut * 150);
        child.kill(cut % 2 === 0 ? "SIGKILL" : "SIGINT");
        await exited;
      });
  });

  it("where nothing is to be done nothing is locked", async () => {
    await withDatabase((url) =>
      connected(url, async (sequelize) => {
        await migrate(sequelize);
        // Somebody holds every table; a start that has nothing to do to them does not wait.
        await connected(url, (other) =>
          other.transaction(async (transaction) => {
            await other.query("lock table collections, plants, looks, migrations in share update exclusive mode", {
              transaction,
            });
            expect(await migrate(sequelize)).toEqual([]);
          }),
        );
      }),
    );
  });
});
