import { randomUUID } from "node:crypto";
import { Sequelize } from "sequelize";
import { afterAll, afterEach, beforeAll, describe, expect, inject, it, vi } from "vitest";
import { ask, leaveQueues, takePart } from "./queue";

const PATIENCE_MS = 15_000;
const until = async (done: () => boolean) => {
  const end = Date.now() + PATIENCE_MS;
  while (!done() && Date.now() < end) await new Promise((resolve) => setTimeout(resolve, 50));
};

describe("the queues of jobs", () => {
  const name = `wary_queue_${randomUUID().replaceAll("-", "")}`;
  const admin = new Sequelize(inject("databaseUrl"), { dialect: "postgres", logging: false });
  const url = Object.assign(new URL(inject("databaseUrl")), { pathname: `/${name}` }).href;
  beforeAll(() => admin.query(`create database ${name}`));
  afterEach(() => leaveQueues());
  afterAll(async () => {
    await admin.query(`drop database ${name} with (force)`);
    await admin.close();
  });

  it("of two queues of one database both are worked, each once for however many ask while it waits", async () => {
    const runs = { early: 0, late: 0 };
    await takePart(url, { early: async () => void runs.early++, late: async () => void runs.late++ });
    await Promise.all(["early", "early", "late", "late", "late"].map((queue) => ask(url, queue)));
    await until(() => runs.early > 0 && runs.late > 0);
    for (const count of Object.values(runs)) {
      expect(count).toBeGreaterThanOrEqual(1);
      expect(count).toBeLessThanOrEqual(2);
    }
  });

  it("what is asked for a collection is done for that one, once however often it is asked, and for all beside it", async () => {
    const runs: (string | null)[] = [];
    await takePart(url, { each: async (_more, collectionId) => void runs.push(collectionId) });
    await Promise.all(["a", "b", "a", null, "a", "b"].map((collectionId) => ask(url, "each", collectionId)));
    await until(() => ["a", "b", null].every((one) => runs.includes(one)));
    expect(new Set(runs)).toEqual(new Set(["a", "b", null]));
    expect(runs.filter((one) => one === "a").length).toBeLessThanOrEqual(2);
  });

  it("asking before anybody has taken part, while it starts, and where nobody can be reached, is no failure", async () => {
    const told = vi.spyOn(console, "error").mockImplementation(() => {});
    let runs = 0;
    const taking = takePart(url, { soon: async () => void runs++ });
    await expect(ask(url, "soon")).resolves.toBeUndefined();
    await taking;
    await ask(url, "soon");
    await until(() => runs > 0);
    expect(runs).toBeGreaterThan(0);
    await expect(ask(`${url}_that_is_not_there`, "soon")).resolves.toBeUndefined();
    expect(told).toHaveBeenCalledWith(expect.stringContaining("No job could be asked for"));
    vi.restoreAllMocks();
  });

  it("a job that is to end is told to put its work down", async () => {
    const seen: boolean[] = [];
    let begun = false;
    await takePart(url, {
      long: async (more) => {
        begun = true;
        while (more()) await new Promise((resolve) => setTimeout(resolve, 20));
        seen.push(more());
      },
    });
    await ask(url, "long");
    await until(() => begun);
    await leaveQueues();
    expect(seen).toEqual([false]);
  });
});
