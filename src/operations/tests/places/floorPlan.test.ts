import { beforeAll, describe, expect, it } from "vitest";
import { v7 as uuidv7 } from "uuid";
import { addPlace } from "../../places/commands/addPlace";
import { arrangePlaces } from "../../places/commands/arrangePlaces";
import { editPlace } from "../../places/commands/editPlace";
import { readBenches } from "../../places/queries/readBenches";
import { readFloorPlan } from "../../places/queries/readFloorPlan";
import { expectOk } from "../../shared/outcome";
import type { Context } from "../../shared/context";
import { freshCollection, NOW, plantOn } from "../builders";

describe("the plan of the rooms", () => {
  let context: Context;
  let room: string;
  const added = async (name: string, over: Partial<Parameters<typeof addPlace>[1]> = {}) => {
    const id = uuidv7();
    const described = { name, kind: "room" as const, parentId: null, celsius: 20, readingId: uuidv7(), ...over };
    expectOk(await addPlace(context, { id, ...described }));
    return id;
  };
  beforeAll(async () => {
    const fresh = await freshCollection({ name: "Rooms" }, NOW);
    context = fresh.context;
    room = await added("Room");
  });

  it("a room nobody has put anywhere has its place; put somewhere it stays; one unknown puts none", async () => {
    const bath = await added("Bath");
    const cells = async () =>
      (await readFloorPlan(context))
        .map(({ id, column, row }) => [id, column, row])
        .filter(([id]) => id === room || id === bath);
    expect(await cells()).toEqual([
      [room, 3, 0],
      [bath, 0, 1],
    ]);
    const put = [
      { placeId: room, column: 2, row: 1 },
      { placeId: bath, column: 0, row: 3 },
    ];
    expectOk(await arrangePlaces(context, { places: put }));
    expectOk(await arrangePlaces(context, { places: put }));
    const after = [
      [room, 2, 1],
      [bath, 0, 3],
    ];
    expect(await cells()).toEqual(after);
    const wrong = [
      { placeId: room, column: 1, row: 1 },
      { placeId: uuidv7(), column: 0, row: 0 },
    ];
    expect(await arrangePlaces(context, { places: wrong })).toMatchObject({ ok: false });
    expect(await cells()).toEqual(after);
  });

  it("says how the plants of each shelf stand; upper boards come first once their heights are known", async () => {
    // A height typed before another kind was chosen is none.
    const nook = await added("Nook", { heightCm: 90 });
    const heights = (await readBenches(context)).map(({ place }) => [place.id, place.heightCm] as const);
    expect(heights).toContainEqual([nook, null]);
    const low = await added("Low", { kind: "shelf", parentId: room, celsius: null, heightCm: 30 });
    const high = await added("High", { kind: "shelf", parentId: room, celsius: null, light: "lamp" });
    expectOk(await editPlace(context, { placeId: high, name: "High", heightCm: 150 }));
    await plantOn(context, low);
    const plan = (await readFloorPlan(context)).find(({ id }) => id === room)!;
    expect(plan.shelves.slice(0, 2).map(({ id, light, count }) => [id, light, count])).toEqual([
      [high, "lamp", 0],
      [low, null, 1],
    ]);
    const sums = plan.shelves.map(({ states }) => Object.values(states).reduce((sum, many) => sum + many, 0));
    expect(sums).toEqual(plan.shelves.map(({ count }) => count));
    expect(sums.reduce((a, b) => a + b, 0)).toBe(1);
    const [bench] = (await readBenches(context)).filter(({ place }) => place.id === room);
    expect(bench!.benches.map(({ place }) => place.id).indexOf(high)).toBe(1);
  });
});
