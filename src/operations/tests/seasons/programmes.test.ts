import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import type { Act } from "@/core/acts/acts";
import { addDays, type Day } from "@/core/shared/days";
import type { CountTraps } from "@/core/record/facts/kinds/trapCount";
import type { ChosenProgramme } from "@/core/record/facts/kinds/roomProgramme";
import type { PestId } from "@/core/knowledge/pests/pests";
import type { GnatWayId } from "@/core/acts/gnatWayIds";
import { gnatWays } from "@/core/acts/gnatWays";
import { addPlace } from "../../places/commands/addPlace";
import { beginProgramme } from "../../seasons/commands/beginProgramme";
import { countTraps } from "../../seasons/commands/countTraps";
import { today, type Context } from "../../shared/context";
import { endProgramme } from "../../seasons/commands/endProgramme";
import { movePlant } from "../../plants/commands/movePlant";
import { expectOk } from "../../shared/outcome";
import { readCalendar } from "../../seasons/queries/readCalendar";
import { readFeeding } from "../../seasons/queries/readFeeding";
import { readGnatRoom } from "../../seasons/queries/readGnatRoom";
import { readPrevention } from "../../seasons/queries/readPrevention";
import { readDone } from "../../record/queries/readDone";
import { readRooms } from "../../seasons/queries/readRooms";
import { readToday } from "../../plants/queries/readToday";
import { recordLook } from "../../looks/commands/recordLook";
import { groupAsked, readGroup } from "../../sessions/queries/readGroup";
import { readWintering } from "../../seasons/queries/readWintering";
import { voidFact } from "../../record/commands/voidFact";
import { recordAct } from "../../acts/commands/recordAct";
import { aFind, aLook, codes, daysAgo, freshCollection, NOW, plantOn } from "../builders";

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

  it("counts its pots by their codes, in whatever order they were written down", async () => {
    const ids = new Map<string, string>();
    for (const code of ["C3", "C1", "C2"]) ids.set(code, await plantOn(context, shelf, { code }));
    const inOrder = ["C1", "C2", "C3"].map((code) => ids.get(code));
    expect((await readGnatRoom(context, shelf))!.potOrder).toEqual(inOrder);
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
    const acts = line!.work.flatMap((one) => one.act ?? []);
    for (const one of acts) {
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

  it("is a session, step by step: what is on record is done, whoever is ready today stays in it, and nobody moves up", async () => {
    const from = await terrace();
    const ids: string[] = [];
    for (let i = 0; i < 4; i++) ids.push(await plantOn(context, from, { genus: "Ficus", growthForm: "uprightShrub" }));
    expectOk(await begin(context, from, winter(addDays(today(context), 14))));
    const asked = groupAsked("winter", from)!;
    const { plants, steps } = await readGroup(context, asked);
    expect(plants).toHaveLength(2);
    expect(steps!.map(({ id, lines }) => [id, lines.length])).toEqual([
      ...[
        ["inspect", 2],
        ["prune", 2],
        ["rinse", 2],
        ["soak", 2],
        ["spray", 2],
        ["rinseOff", 2],
        ["pot", 2],
      ],
    ]);
    const line = steps!.find(({ id }) => id === "spray")!.lines[0]!;
    const { plantId, act, caseId, stepId } = line;
    const filed = { id: uuidv7(), plantId, placeId: null, caseId, stepId, act: act!, at: context.now };
    expectOk(await recordAct(context, { ...filed, note: "", alreadyDone: false }));
    const again = await readGroup(context, asked);
    expect(again.plants.map((one) => one.plantId).toSorted()).toEqual(plants.map((one) => one.plantId).toSorted());
    expect(again.plants.find((one) => one.plantId === plantId)!.lately.acts).toHaveLength(1);
    const [programme] = (await readWintering(context)).programmes;
    expect(programme).toMatchObject({ plants: 4, done: 1 });
    expect(programme!.tonight).toHaveLength(1);
    expect((await readGroup(context, groupAsked("winterAll", from))).plants).toHaveLength(4);
    // Ten days on it is sprayed again.
    const later = { ...context, now: new Date(context.now.getTime() + 10 * 86_400_000) };
    expect((await readWintering(later)).programmes[0]!.again).toMatchObject([{ on: today(later) }]);
    expect((await readGroup(later, groupAsked("winterAgain", from))).steps!.map(({ id }) => id)).toEqual(["spray"]);
  });

  it("runs for each place outdoors by itself", async () => {
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
    expect((await readPrevention(context)).worthOf("soapMild").all).toMatchObject({
      ...{ plants: 2, spared: { flowers: 1 } },
    });
    expectOk(await begin(context, null, rounds));
    const [running] = (await readPrevention(context)).rounds;
    expect(running).toMatchObject({ due: 2, spared: [{ why: "flowers" }] });
    expect(running!.tonight).toHaveLength(1);
    const filed = { plantId: a, placeId: null, caseId: null, stepId: null };
    const spray = running!.tonight[0]!.act;
    expectOk(
      await recordAct(context, { id: uuidv7(), ...filed, act: spray, at: context.now, note: "", alreadyDone: false }),
    );
    // Today tells it without reading every record: three plants, one of them treated.
    expect((await readRooms(context)).map(({ what }) => what)).toEqual([{ what: "round", plants: 2 }]);
    const then = (await readPrevention(context)).rounds[0]!;
    expect([then.due, then.next]).toEqual([1, addDays(today(context), 30)]);
    // One pot can dry at a time, and tonight it has: nobody moves up.
    expect(then.tonight).toEqual([]);
  });

  it("runs for each place by itself, thins out, pauses, and tells who is in two of them", async () => {
    const code = "Z1";
    const plantId = await plantOn(context, shelf, { genus: "Ficus", growthForm: "uprightShrub", code });
    expectOk(await begin(context, shelf, { ...rounds, rhythm: "taper", everyDays: 14 } as ChosenProgramme));
    expectOk(await begin(context, null, { ...rounds, mix: "oil1" } as ChosenProgramme));
    const filed = { plantId, placeId: null, caseId: null, stepId: null };
    const spray = { kind: "contact", mix: "soapMild", technique: "spray", volumeMl: 60, spots: ["axil"] } as const;
    expectOk(
      await recordAct(context, {
        ...{ id: uuidv7(), ...filed, act: { ...spray, spots: ["axil"] } },
        ...{ at: context.now, note: "", alreadyDone: false },
      }),
    );
    const [own, all] = (await readPrevention(context)).rounds;
    expect(own).toMatchObject({ placeId: shelf, due: 0, next: addDays(today(context), 5), twice: [{ codes: [code] }] });
    // Oil is another remedy: its turn has come all the same.
    expect(all).toMatchObject({ placeId: null, due: 1, twice: [{ with: own!.placeName, codes: [code] }] });
    expect((await readRooms(context)).map(({ placeId, what }) => [placeId, what])).toEqual([
      [null, { what: "round", plants: 1 }],
    ]);
    const pausedUntil = addDays(today(context), 20);
    expectOk(await begin(context, null, { ...rounds, mix: "oil1", pausedUntil } as ChosenProgramme));
    expect((await readPrevention(context)).rounds[1]).toMatchObject({ due: 0, next: pausedUntil });
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
    expect(after.rounds[0]!.spared).toMatchObject([{ plant: { id: plantId }, why: "helpers" }]);
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
  it("says of each day what was done on it, once for each plant, and nothing of what was struck out or is to come", async () => {
    const plantId = await plantOn(context, shelf);
    const filed = { plantId, placeId: null, caseId: null, stepId: null, note: "", alreadyDone: false };
    const shower: Act = { kind: "mechanical", way: "shower", tool: null, percent: null, spots: ["underside"] };
    const spray = (ago: number) =>
      recordAct(context, {
        id: uuidv7(),
        ...filed,
        act: shower,
        at: daysAgo(context, ago).now,
      });
    for (const ago of [3, 3, 1]) expectOk(await spray(ago));
    const struck = expectOk(await spray(2));
    expectOk(await voidFact(context, { kind: "act", factId: struck.id, reason: "Not so." }));
    const on = (n: number) => addDays(today(context), n);
    expect([...(await readDone(context, on(-3), on(30)))]).toEqual([
      [on(-3), { treated: 1, looked: 0 }],
      [on(-1), { treated: 1, looked: 0 }],
    ]);
    expect((await readDone(context, on(1), on(9))).size).toBe(0);
  });

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
