import pg from "pg";
import { describe, expect, inject, it } from "vitest";
import { connect } from "@/db/connection";
import { pastDeadlocks } from "@/operations/shared/pastDeadlocks";
import * as collections from "@/db/stores/collections";
import { freshCollection, plantOn } from "../builders";

/** What a job does that notes that something has changed. */
const NOTED = `insert into carriage_turns (collection_id, turn, touches) values ($1, 1, 1)
  on conflict (collection_id) do update set turn = carriage_turns.turn + 1`;

async function aside(): Promise<pg.Client> {
  const client = new pg.Client(inject("databaseUrl"));
  await client.connect();
  return client;
}

const isWaiting = async (client: pg.Client) => {
  const sql = "select 1 from pg_stat_activity where wait_event_type = 'Lock' and datname = current_database()";
  while ((await client.query(sql)).rowCount === 0) await new Promise((resolve) => setTimeout(resolve, 10));
};

describe("removing a collection", () => {
  it("waits for what is just being written down of it, and takes that along", async () => {
    const { context, shelf } = await freshCollection();
    await plantOn(context, shelf);
    const { id } = context.collection;
    const [job, watch] = [await aside(), await aside()];
    try {
      await job.query("delete from carriage_turns where collection_id = $1", [id]);
      await job.query("begin");
      await job.query(NOTED, [id]);
      const removed = connect(inject("databaseUrl")).transaction((transaction) =>
        collections.remove({ sequelize: connect(inject("databaseUrl")), transaction }, id),
      );
      await isWaiting(watch);
      await job.query("commit");
      await removed;
      for (const table of ["carriage_turns", "collections"])
        expect(
          (
            await watch.query(
              `select 1 from ${table} where ${table === "carriage_turns" ? "collection_id" : "id"} = $1`,
              [id],
            )
          ).rowCount,
        ).toBe(0);
    } finally {
      await job.end();
      await watch.end();
    }
  });
});

describe("two that wait for each other", () => {
  const deadlock = Object.assign(new Error("deadlock detected"), { code: "40P01" });
  const failing = (times: number, error: unknown) => {
    let calls = 0;
    const work = () => (++calls <= times ? Promise.reject(error as Error) : Promise.resolve("done"));
    return { work, calls: () => calls };
  };

  it("try again, five times at most; whatever else is thrown goes on at once", async () => {
    const twice = failing(2, deadlock);
    expect(await pastDeadlocks(twice.work)).toBe("done");
    expect(twice.calls()).toBe(3);
    const wrapped = failing(1, Object.assign(new Error("told by Sequelize"), { parent: deadlock }));
    expect(await pastDeadlocks(wrapped.work)).toBe("done");
    const always = failing(99, deadlock);
    await expect(pastDeadlocks(always.work)).rejects.toBe(deadlock);
    expect(always.calls()).toBe(5);
    const other = failing(1, new Error("no such table"));
    await expect(pastDeadlocks(other.work)).rejects.toThrow("no such table");
    expect(other.calls()).toBe(1);
  });
});
