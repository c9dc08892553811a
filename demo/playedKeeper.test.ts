import { describe, expect, inject, it } from "vitest";
import { contextOf, openCollections } from "../src/operations/shared/context";
import { readTaught } from "../src/operations/record/queries/readTaught";
import { loadPlayedKeeper, removePlayedKeeper } from "./playedKeeper";

const NOW = new Date("2026-12-01T12:00:00Z");
const truth = { misses: 2, sees: 0.6 };

/** The record is made by the operations, from animals played one by one: what is learned of it is held against what was so. */
describe("a played keeper", () => {
  it("is found within fifteen cases, and is there once", { timeout: 180_000 }, async () => {
    const url = inject("databaseUrl");
    const { collectionId, plants } = await loadPlayedKeeper(url, NOW, truth, 15);
    expect(plants).toBe(15);
    expect(await loadPlayedKeeper(url, NOW, truth, 15)).toEqual({ collectionId, plants: 0 });
    const collection = (await openCollections(url)).find(({ id }) => id === collectionId)!;
    const taught = await readTaught(contextOf(url, collection, { actor: "test", role: "owner", now: NOW }));

    const eye = (tool: string) => taught.eyes.find((one) => one.tool === tool)!.learned!;
    expect(eye("lamp").low).toBeLessThan(truth.sees);
    expect(eye("lamp").high).toBeGreaterThan(truth.sees);
    expect(eye("lamp").high).toBeLessThan(1);
    // With the loupe as well they see what we suppose.
    expect(eye("loupe").low).toBeLessThan(1);
    expect(eye("loupe").high).toBeGreaterThan(1);
    expect(taught.hands).toMatchObject([{ technique: "sprayAndSwab" }]);
    // Each plant is looked at for twelve weeks after it was called clear: what comes back is there to be found.
    expect(taught.closings.reduce((sum, { came }) => sum + came.of, 0)).toBeGreaterThanOrEqual(8);
    expect(taught.closings.map(({ off }) => off)).not.toContain("tooSure");

    expect(await removePlayedKeeper(url, truth, 15)).toBe(true);
    expect(await removePlayedKeeper(url, truth, 15)).toBe(false);
  });
});
