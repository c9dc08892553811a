import { describe, expect, inject, it, vi } from "vitest";
import type { Change } from "@/db/changes";
import { noteCommand } from "../../access/people";
import { hearChanges } from "../../record/queries/hearChanges";
import { readRevision } from "../../record/queries/readRevision";
import { freshCollection } from "../builders";

const url = inject("appUrl");

describe("word of what was done", () => {
  it("is heard by whoever shows that collection and nobody else, with the mark that reading gives", async () => {
    const [mine, theirs] = [(await freshCollection()).context, (await freshCollection()).context];
    const heard: (Change | null)[] = [];
    const leave = hearChanges(url, mine, (change) => heard.push(change));
    // It begins by saying that something may have been missed.
    await vi.waitFor(() => expect(heard).toEqual([null]), 10_000);
    expect(await readRevision(mine)).toBe("");
    await noteCommand(theirs, null, "recordLook", "");
    await noteCommand(mine, null, "recordLook", "", "this page");
    await vi.waitFor(() => expect(heard).toHaveLength(2), 10_000);
    expect(heard[1]).toEqual({ collectionId: mine.collection.id, mark: await readRevision(mine), from: "this page" });
    leave();
    await noteCommand(mine, null, "recordLook", "");
    expect(await readRevision(mine)).not.toBe(heard[1]!.mark);
    expect(heard).toHaveLength(2);
  });

  it("a line to the database that is cut comes back by itself, and says that something may have been missed", async () => {
    const { context } = await freshCollection();
    const heard: (Change | null)[] = [];
    const leave = hearChanges(url, context, (change) => heard.push(change));
    await vi.waitFor(() => expect(heard).toEqual([null]), 10_000);
    await context.sequelize.query(
      "select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'wary-petal changes' and usename = current_user",
    );
    await vi.waitFor(() => expect(heard).toEqual([null, null]), 10_000);
    await noteCommand(context, null, "recordLook", "");
    await vi.waitFor(() => expect(heard).toHaveLength(3), 10_000);
    leave();
  });
});
