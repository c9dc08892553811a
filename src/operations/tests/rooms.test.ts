import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { addDays, type Day } from "@/core/climate/days";
import type { CountTraps } from "@/core/facts/kinds/trapCount";
import type { ChosenProgramme } from "@/core/facts/kinds/roomProgramme";
import type { PestId } from "@/core/pests/pests";
import { gnatWays, type GnatWayId } from "@/core/rooms/gnats/ways";
import { addPlace } from "../addPlace";
import { beginProgramme } from "../beginProgramme";
import { countTraps } from "../countTraps";
import { today, type Context } from "../context";
import { endProgramme } from "../endProgramme";
import { movePlant } from "../movePlant";
import { expectOk } from "../outcome";
import { readCalendar } from "../readCalendar";
import { readFeeding } from "../readFeeding";
import { readGnatRoom } from "../readGnatRoom";
import { readPrevention } from "../readPrevention";
import { readRooms } from "../readRooms";
import { readToday } from "../readToday";
import { recordLook } from "../recordLook";
import { readWintering } from "../readWintering";
import { recordAct } from "../recordAct";
import { voidFact } from "../voidFact";
import { aFind, aLook, codes, daysAgo, freshCollection, NOW, plantOn } from "./builders";

let context: Context;
let shelf: string;
beforeEach(async () => {
  ({ context, shelf } = await freshCollection());
});

const size = { pots: 2, drenchMl: 500, cards: 1 };
const begin = (on: Context, placeId: string | null, chosen: ChosenProgramme) =>
  beginProgramme(on, { id: uuidv7(), placeId, chosen });
const gnats: ChosenProgramme = { programme: "gnats", ways: ["dryTop", "larvicide", "cards"] };
const act = (on: Context, way: GnatWayId, placeId = shelf) => {
  const filed = { plantId: null, placeId, caseId: null, stepId: null };
  return recordAct(on, {
    id: uuidv7(),
    ...filed,
    act: gnatWays[way].act(size),
    at: on.now,
    note: "",
    alreadyDone: false,
  });
};
const count = (on: Context, flies: number, over: Partial<CountTraps> = {}) =>
  countTraps(on, {
    id: uuidv7(),
    placeId: shelf,
    plantId: null,
    what: "cards",
    days: 7,
    count: flies,
    at: on.now,
    ...over,
  });

describe("a case of gnats", () => {
  it("is the room's: nobody is asked to set its plant apart, nor to plan for it, unless it has something else", async () => {
    const [gnatty, both] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    const found = (plantId: string, pests: readonly PestId[]) =>
      recordLook(context, aLook(plantId, 1, { finds: pests.map((pest) => aFind({ pest })) }));
    expectOk(await found(gnatty, ["fungusGnat"]));
    expectOk(await found(both, ["fungusGnat", "thrips"]));
    const { loose, unplanned } = await readToday(context);
    expect(loose.map(({ id }) => id)).toEqual([both]);
    expect(unplanned.map(({ pest }) => pest)).toEqual(["thrips"]);
  });
});

describe("a room of gnats", () => {
  it("asks, is counted and judged, from the first card to its end", async () => {
    const plantId = await plantOn(context, shelf);
    await plantOn(context, shelf);
    const first = daysAgo(context, 91);
    expectOk(await begin(first, shelf, gnats));
    expect((await readGnatRoom(first, shelf))!.verdict.code).toBe("not_counted");
    expect((await readRooms(first)).map(({ what }) => (what.what === "way" ? what.way : what.what)).toSorted()).toEqual(
      ["cards", "dryTop", "larvicide", "slice"].toSorted(),
    );
    for (const way of ["cards", "dryTop", "larvicide"] as const) expectOk(await act(first, way));
    const flies = [14, 9, 3, 1, 0, 0, 0, 0, 0, 0, 0, 0];
    for (const [week, caught] of flies.entries()) {
      const then = daysAgo(context, 84 - 7 * week);
      expectOk(await count(then, caught));
      if (week < 6) expectOk(await act(then, "larvicide"));
      if (week % 4 === 3) expectOk(await act(then, "cards"));
    }
    expectOk(await count(daysAgo(context, 86), 8, { what: "slice", plantId, days: 4 }));
    const view = (await readGnatRoom(context, shelf))!;
    expect(view.counts.length).toBe(13);
    expect(view.judged!.pOver).toBeGreaterThan(0.7);
    expect(["over", "quiet"]).toContain(view.verdict.code);
    expect(view.running!.begunOn).toBe(addDays(today(context), -91));
    const end = { id: uuidv7(), programme: "gnats" as const, placeId: shelf, outcome: "clear" as const, note: "" };
    expectOk(await endProgramme(context, end));
    expectOk(await endProgramme(context, end));
    expect((await readGnatRoom(context, shelf))!.running).toBeNull();
    expect(await readRooms(context, 60)).toEqual([]);
    expect(codes(await endProgramme(context, { ...end, id: uuidv7() }))).toEqual(["programme programme_not_running"]);
  });

  it("a count sent twice counts once; struck out it counts nothing; one from the future is refused", async () => {
    await plantOn(context, shelf);
    const id = uuidv7();
    expectOk(await count(context, 12, { id }));
    expectOk(await count(context, 12, { id }));
    expect((await readGnatRoom(context, shelf))!.counts).toHaveLength(1);
    expectOk(await voidFact(context, { kind: "trapCount", factId: id, reason: "those were springtails" }));
    expect((await readGnatRoom(context, shelf))!.judged).toBeNull();
    const tomorrow = new Date(NOW.getTime() + 86_400_000);
    expect(codes(await count(context, 1, { at: tomorrow }))).toEqual(["at in_future"]);
    expect(codes(await count(context, 1, { placeId: uuidv7() }))).toEqual(["placeId unknown"]);
  });

  it("what is done to the room around a shelf is done to its pots; an ending struck out lets it run on", async () => {
    const room = uuidv7();
    expectOk(
      await addPlace(context, {
        id: room,
        name: "Room",
        kind: "room",
        parentId: null,
        celsius: 21,
        readingId: uuidv7(),
      }),
    );
    const inner = uuidv7();
    expectOk(
      await addPlace(context, {
        id: inner,
        name: "Inner",
        kind: "shelf",
        parentId: room,
        celsius: null,
        readingId: uuidv7(),
      }),
    );
    await plantOn(context, inner);
    expectOk(await act(context, "cards", room));
    expect((await readGnatRoom(context, inner))!.inForce).toEqual(["cards"]);
    expectOk(await begin(context, inner, gnats));
    const end = { id: uuidv7(), programme: "gnats" as const, placeId: inner, outcome: "stopped" as const, note: "" };
    expectOk(await endProgramme(context, end));
    expectOk(await voidFact(context, { kind: "roomEnding", factId: end.id, reason: "not yet" }));
    expect((await readGnatRoom(context, inner))!.running).not.toBeNull();
  });

  it("a place without a pot has no gnats to judge, and no place is no room", async () => {
    expect((await readGnatRoom(context, shelf))!.judged).toBeNull();
    expectOk(await count(context, 3));
    expect((await readGnatRoom(context, shelf))!.judged).toBeNull();
    expect(await readGnatRoom(context, uuidv7())).toBeNull();
    expect(await readGnatRoom(context, "no id")).toBeNull();
  });
});

describe("the way in for winter", () => {
  const terrace = async () => {
    const id = uuidv7();
    const place = { id, name: "Terrace", kind: "outdoors" as const, parentId: null, celsius: 14, readingId: uuidv7() };
    expectOk(await addPlace(daysAgo(context, 90), place));
    return id;
  };
  const winter = (moveOn: Day, over: object = {}): ChosenProgramme => ({
    ...{ programme: "wintering", toPlaceId: shelf, moveOn, coldestC: 10, weeks: 6 },
    ...{ minutes: 60, helpers: 1, dryingPots: 2, ...over },
  });

  it("plans evenings within the hours and drying places, knows who is behind, and what is left", async () => {
    const from = await terrace();
    for (let i = 0; i < 6; i++) await plantOn(context, from, { genus: "Ficus", growthForm: "uprightShrub", potCm: 16 });
    const moveOn = addDays(today(context), 3);
    // Begun late: three evenings, two drying places each.
    expectOk(await begin(daysAgo(context, 2), from, winter(moveOn)));
    const [programme] = (await readWintering(context)).programmes;
    expect(programme!.batches.map(({ plantIds }) => plantIds.length)).toEqual([2, 2, 2]);
    expect(programme!.tonight).toHaveLength(2);
    expect(programme!.behind).toHaveLength(4);
    expect(programme!.left).toEqual([]);
    expectOk(await begin(context, from, winter(moveOn, { dryingPots: 1 })));
    const tighter = (await readWintering(context)).programmes[0]!;
    expect(tighter.left).toHaveLength(3);
    expect(tighter.begunOn).toBe(addDays(today(context), -2));
    expect(tighter.stowaways.before).toBeGreaterThanOrEqual(tighter.stowaways.planned);
  });

  it("counts what was sprayed as ready, and asks for sprays inside once it has come in", async () => {
    const from = await terrace();
    const plantId = await plantOn(context, from, { genus: "Ficus", growthForm: "uprightShrub" });
    expectOk(await begin(daysAgo(context, 10), from, winter(addDays(today(context), 5))));
    const [line] = (await readWintering(daysAgo(context, 10))).programmes[0]!.tonight;
    for (const one of line!.acts) {
      const filed = { plantId, placeId: null, caseId: null, stepId: null };
      const at = daysAgo(context, 10).now;
      expectOk(await recordAct(context, { id: uuidv7(), ...filed, act: one, at, note: "", alreadyDone: false }));
    }
    expect((await readWintering(context)).programmes[0]).toMatchObject({ plants: 1, done: 1, batches: [] });
    expectOk(await movePlant(context, { id: uuidv7(), plantId, placeId: shelf, at: daysAgo(context, 8).now }));
    const [programme] = (await readWintering(context)).programmes;
    expect(programme).toMatchObject({ plants: 0, inside: [{ on: addDays(today(context), -1) }] });
    expect((await readRooms(context)).map(({ what }) => what.what)).toEqual(["winterSpray"]);
    // Wherever it stands inside, it is asked for.
    const room = uuidv7();
    const described = { name: "Study", kind: "room" as const, parentId: null, celsius: 20, readingId: uuidv7() };
    expectOk(await addPlace(daysAgo(context, 9), { id: room, ...described }));
    expectOk(await movePlant(context, { id: uuidv7(), plantId, placeId: room, at: daysAgo(context, 2).now }));
    expect((await readWintering(context)).programmes[0]).toMatchObject({
      inside: [{ on: addDays(today(context), -1) }],
    });
  });

  it("runs for each place out of doors by itself", async () => {
    const soon = addDays(today(context), 20);
    for (const place of [await terrace(), await terrace()]) expectOk(await begin(context, place, winter(soon)));
    expect((await readWintering(context)).programmes).toHaveLength(2);
  });

  it("goes to another place than it comes from, to one that is there, and not into the past", async () => {
    const from = await terrace();
    const soon = addDays(today(context), 9);
    expect(codes(await begin(context, from, winter(soon, { toPlaceId: from })))).toEqual([
      "chosen.toPlaceId same_place",
    ]);
    expect(codes(await begin(context, from, winter(soon, { toPlaceId: uuidv7() })))).toEqual([
      "chosen.toPlaceId unknown",
    ]);
    expect(codes(await begin(context, from, winter(addDays(today(context), -1))))).toEqual([
      "chosen.moveOn so_long_ago",
    ]);
    expect(codes(await begin(context, null, winter(soon)))).toEqual(["placeId unknown"]);
    expect(codes(await begin(context, uuidv7(), winter(soon)))).toEqual(["placeId unknown"]);
  });
});

describe("prevention", () => {
  const rounds: ChosenProgramme = {
    ...{ programme: "prevention", mix: "soapMild", technique: "spray", who: "all", everyDays: 30 },
    ...{ fromMonth: 1, untilMonth: 12, minutes: 90, helpers: 1, dryingPots: 1 },
  };

  it("asks for those that fit tonight, spares who is in flower, and asks again after its days", async () => {
    const a = await plantOn(context, shelf, { genus: "Ficus", growthForm: "uprightShrub" });
    await plantOn(context, shelf, { genus: "Ficus", growthForm: "uprightShrub" });
    await plantOn(context, shelf, { genus: "Ficus", growthForm: "uprightShrub", inFlower: true });
    expect((await readPrevention(context)).worth.find(({ mix }) => mix === "soapMild")!.all).toMatchObject({
      ...{ plants: 2, spared: { flowers: 1 } },
    });
    expectOk(await begin(context, null, rounds));
    const { running } = await readPrevention(context);
    expect(running).toMatchObject({ due: 2, spared: [{ why: "flowers" }] });
    expect(running!.tonight).toHaveLength(1);
    const filed = { plantId: a, placeId: null, caseId: null, stepId: null };
    const spray = running!.tonight[0]!.act;
    expectOk(
      await recordAct(context, { id: uuidv7(), ...filed, act: spray, at: context.now, note: "", alreadyDone: false }),
    );
    // Today tells it without reading every record: three plants, one of them treated.
    expect((await readRooms(context)).map(({ what }) => what)).toEqual([{ what: "round", plants: 2 }]);
    const then = (await readPrevention(context)).running!;
    expect([then.due, then.next]).toEqual([1, addDays(today(context), 30)]);
    expect(codes(await begin(context, shelf, rounds))).toEqual(["placeId unknown"]);
  });

  it("is in conflict with predators at a place, and leaves the plants out while they live", async () => {
    const plantId = await plantOn(context, shelf, { genus: "Ficus", growthForm: "uprightShrub" });
    const guests: ChosenProgramme = { programme: "guests", predator: "predatoryMites", sachets: 4, everyDays: 35 };
    expectOk(await begin(context, shelf, guests));
    expectOk(await begin(context, null, rounds));
    const before = (await readPrevention(context)).guests[0]!;
    expect(before).toMatchObject({ due: { on: today(context), freeFrom: null } });
    expect(before.wouldSpray).toHaveLength(1);
    const filed = { plantId: null, placeId: shelf, caseId: null, stepId: null };
    const loose = { kind: "release", predator: "predatoryMites", sachets: 4 } as const;
    expectOk(
      await recordAct(context, { id: uuidv7(), ...filed, act: loose, at: context.now, note: "", alreadyDone: false }),
    );
    expect((await readRooms(context, 40)).map(({ what }) => what.what)).toEqual(["round", "sachets"]);
    const after = await readPrevention(context);
    expect(after.guests[0]!.due).toMatchObject({ on: addDays(today(context), 35), again: true });
    expect(after.running!.spared).toMatchObject([{ plant: { id: plantId }, why: "helpers" }]);
  });
});

describe("what feeds the trouble at a place", () => {
  it("is said from the record alone: nothing of an empty place, dust where nobody dusted, nitrogen where it was given", async () => {
    expect(await readFeeding(context, shelf)).toEqual([]);
    await plantOn(context, shelf);
    const says = async () => (await readFeeding(context, shelf)).map(({ code }) => code);
    // 25 °C on this shelf: mites double fast, and nobody has measured how dry it is.
    expect(await says()).toEqual(["warm", "dust"]);
    const filed = { plantId: null, placeId: shelf, caseId: null, stepId: null };
    const feed = { kind: "culture", way: "richFeed", days: 30 } as const;
    expectOk(
      await recordAct(context, { id: uuidv7(), ...filed, act: feed, at: context.now, note: "", alreadyDone: false }),
    );
    expect(await says()).toContain("nitrogen");
  });
});

describe("the calendar", () => {
  it("holds looks and what rooms ask for, each under a name that stays when its day moves", async () => {
    await plantOn(context, shelf);
    expectOk(await begin(context, shelf, gnats));
    const from = today(context);
    const entries = await readCalendar(context, from, addDays(from, 60));
    expect(entries.map(({ uid }) => uid)).toContain(`gnats-${shelf}-larvicide`);
    expect(entries.some(({ kind }) => kind === "looks")).toBe(true);
    expectOk(await act(context, "larvicide"));
    const moved = (await readCalendar(context, from, addDays(from, 60))).find(({ uid }) => uid.endsWith("larvicide"));
    expect(moved!.day).toBe(addDays(from, 7));
    expect(new Set(entries.map(({ uid }) => uid)).size).toBe(entries.length);
  });
});
