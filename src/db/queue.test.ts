import { randomUUID } from "node:crypto";
import { Sequelize } from "sequelize";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { ask, leaveQueues, takePart } from "./queue";

const PATIENCE_MS = 15_000;

describe("the queue of jobs", () => {
  const name = `wary_queue_${randomUUID().replaceAll("-", "")}`;
  const admin = new Sequelize(inject("databaseUrl"), { dialect: "postgres", logging: false });
  const url = Object.assign(new URL(inject("databaseUrl")), { pathname: `/${name}` }).href;
  beforeAll(() => admin.query(`create database ${name}`));
  afterAll(async () => {
    await leaveQueues();
    await admin.query(`drop database ${name} with (force)`);
    await admin.close();
  });

  it("asking where nobody takes part does nothing", async () => {
    await expect(ask(url, "later")).resolves.toBeUndefined();
  });

  it("what is asked for is done, once for however many ask while it waits", async () => {
    let runs = 0;
    await takePart(url, "test-jobs", async () => {
      runs++;
    });
    // Taking part twice is taking part once.
    await takePart(url, "test-jobs", () => Promise.reject(new Error("never called")));
    await Promise.all([ask(url, "test-jobs"), ask(url, "test-jobs"), ask(url, "test-jobs")]);
    const until = Date.now() + PATIENCE_MS;
    while (runs === 0 && Date.now() < until) await new Promise((resolve) => setTimeout(resolve, 100));
    expect(runs).toBeGreaterThanOrEqual(1);
    expect(runs).toBeLessThanOrEqual(2);
  });
});
