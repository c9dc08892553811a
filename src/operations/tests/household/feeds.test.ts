import { inject, beforeEach, describe, expect, it } from "vitest";
import { v7 as uuidv7 } from "uuid";
import { roleIds } from "@/core/access/roles";
import type { Context } from "../../shared/context";
import { closeFeed, contextOfFeed, openFeed, readFeeds } from "../../access/calendarFeeds";
import { expectOk } from "../../shared/outcome";
import { recordLook } from "../../looks/commands/recordLook";
import { aLook, freshCollection, NOW, plantOn } from "../builders";

let context: Context;
let plantId: string;
beforeEach(async () => {
  const fresh = await freshCollection();
  context = fresh.context;
  plantId = await plantOn(context, fresh.shelf);
});
const url = () => inject("appUrl");

describe("a private address of the calendar", () => {
  it("opens its collection, for reading and nothing more, until it is ended", async () => {
    const { id, token } = expectOk(await openFeed(context, { id: uuidv7(), name: "Kitchen" }));
    const opened = (await contextOfFeed(url(), token, NOW))!;
    expect([opened.collection.id, opened.role]).toEqual([context.collection.id, "reader"]);
    expect((await recordLook(opened, aLook(plantId, 0))).ok).toBe(false);
    expect((await readFeeds(context))[0]).toMatchObject({ name: "Kitchen", fetchedAt: NOW });
    expect(JSON.stringify(await readFeeds(context))).not.toContain(token);
    expectOk(await closeFeed(context, { id }));
    expect(await contextOfFeed(url(), token, NOW)).toBeNull();
  });

  it("cannot be guessed, nor told twice", async () => {
    const id = uuidv7();
    const { token } = expectOk(await openFeed(context, { id, name: "Kitchen" }));
    expect(token.length).toBeGreaterThanOrEqual(32);
    expect(await contextOfFeed(url(), token.slice(1), NOW)).toBeNull();
    expect(await contextOfFeed(url(), "", NOW)).toBeNull();
    expect((await openFeed(context, { id, name: "Kitchen" })).ok).toBe(false);
  });

  it("is the owner's to make and to end", async () => {
    const { id } = expectOk(await openFeed(context, { id: uuidv7(), name: "Kitchen" }));
    for (const role of roleIds.filter((one) => one !== "owner")) {
      expect((await openFeed({ ...context, role }, { id: uuidv7(), name: "Mine" })).ok).toBe(false);
      expect((await closeFeed({ ...context, role }, { id })).ok).toBe(false);
    }
    const other = (await freshCollection()).context;
    expectOk(await closeFeed(other, { id }));
    expect(await readFeeds(context)).toHaveLength(1);
  });
});
