import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { addDays, type Day } from "@/core/shared/days";
import * as climate from "@/db/stores/climate/climate";
import * as facts from "@/db/stores/record/facts";
import { closeCase } from "../../cases/commands/closeCase";
import { countTraps } from "../../seasons/commands/countTraps";
import { scopeOf, today, type Context } from "../../shared/context";
import { importReadings } from "../../climate/commands/importReadings";
import { expectOk } from "../../shared/outcome";
import { readCase } from "../../cases/queries/readCase";
import { readClimate } from "../../climate/queries/readClimate";
import { readGnatRoom } from "../../seasons/queries/readGnatRoom";
import { readPlant } from "../../plants/queries/readPlant";
import { recordLook } from "../../looks/commands/recordLook";
import { readTaught } from "../../record/queries/readTaught";
import { voidFact } from "../../record/commands/voidFact";
import { recordAct } from "../../acts/commands/recordAct";
import { aFind, aLook, aSpray, daysAgo, freshCollection, NOW, plantOn } from "../builders";

let context: Context;
let shelf: string;
beforeEach(async () => {
  ({ context, shelf } = await freshCollection());
});

const bring = (at: Context, rows: Record<string, string>[]) => importReadings(at, { placeId: shelf, rows });
const kept = (at = context) => climate.daysFrom(scopeOf(at, "read"), "2026-01-01" as Day, [shelf]);

describe("days of a place's air", () => {
  it("of several tellings the fuller one counts; struck out, the next best does", async () => {
    const hours = (n: number, celsius: string) =>
      Array.from({ length: n }, (_, hour) => ({
        time: `2026-11-20 ${String(hour).padStart(2, "0")}:00`,
        temp: celsius,
      }));
    expectOk(await bring(context, hours(18, "18")));
    expectOk(await bring(context, hours(24, "21")));
    expectOk(await bring(context, hours(10, "30")));
    expect(await kept()).toMatchObject([{ day: "2026-11-20", meanC: 21, hours: 24 }]);
    const [best] = await kept();
    expectOk(await voidFact(context, { kind: "climateDay", factId: best!.id, reason: "it stood in the sun" }));
    expect(await kept()).toMatchObject([{ meanC: 18, hours: 18 }]);
  });

  it.each([
    ["Pacific/Auckland", "2026-11-20"],
    ["America/Los_Angeles", "2026-11-20"],
    ["Asia/Kathmandu", "2026-11-20"],
  ])("given by its date a day is that day in %s", async (timeZone, day) => {
    const there = await freshCollection({ timeZone });
    const rows = [{ date: day, min: "10", max: "20" }];
    expectOk(await importReadings(there.context, { placeId: there.shelf, rows }));
    const days = await climate.daysFrom(scopeOf(there.context, "read"), "2026-01-01" as Day, [there.shelf]);
    expect(days).toMatchObject([{ day, meanC: 15 }]);
    const view = (await readClimate(there.context, there.shelf))!;
    expect(view.days.find((one) => one.day === day)).toMatchObject({ minC: 10, filled: false });
  });

  it("stay the days they were when the collection moves to another zone", async () => {
    expectOk(await bring(context, [{ date: "2026-11-20", min: "10", max: "20" }]));
    const moved: Context = { ...context, collection: { ...context.collection, timeZone: "Pacific/Auckland" } };
    expect((await kept(moved)).map(({ day }) => day)).toEqual(["2026-11-20"]);
  });

  it("twice at once they come in once", async () => {
    const rows = [{ date: "2026-11-20", min: "10", max: "20" }];
    const both = await Promise.all([bring(context, rows), bring(context, rows)]);
    const added = both.map(expectOk).map((came) => ("added" in came ? came.added : -1));
    expect(added.toSorted()).toEqual([0, 1]);
    expect(await kept()).toHaveLength(1);
  });

  it("of one place say nothing of another", async () => {
    expectOk(await bring(context, [{ date: "2026-11-20", min: "10", max: "20" }]));
    const other = await freshCollection();
    expect(await climate.daysFrom(scopeOf(other.context, "read"), "2026-01-01" as Day)).toEqual([]);
    expect(await readClimate(context, (await freshCollection()).shelf)).toBeNull();
  });
});

describe("counts on cards", () => {
  it("told late count on the day they were made, in whatever order they arrive", async () => {
    await plantOn(context, shelf);
    const count = (ago: number, flies: number) => ({
      ...{ id: uuidv7(), placeId: shelf, plantId: null, what: "cards" as const, days: 7, count: flies },
      at: daysAgo(context, ago).now,
    });
    const counts = [count(21, 12), count(14, 9), count(7, 4)];
    for (const one of counts) expectOk(await countTraps(context, one));
    const inOrder = (await readGnatRoom(context, shelf))!.judged!;
    const fresh = await freshCollection();
    await plantOn(fresh.context, fresh.shelf);
    for (const one of counts.toReversed())
      expectOk(await countTraps(fresh.context, { ...one, id: uuidv7(), placeId: fresh.shelf }));
    const reversed = (await readGnatRoom(fresh.context, fresh.shelf))!.judged!;
    expect(reversed.flying).toBeCloseTo(inOrder.flying, 9);
    expect(reversed.weights).toEqual(inOrder.weights);
  });

  it("made in the evening west of Greenwich belong to that evening's day", async () => {
    const now = new Date("2026-11-25T04:30:00Z");
    const there = await freshCollection({ timeZone: "America/Los_Angeles" }, now);
    await plantOn(there.context, there.shelf);
    const counted = { id: uuidv7(), placeId: there.shelf, plantId: null, what: "cards" as const, days: 7, count: 3 };
    expectOk(await countTraps(there.context, { ...counted, at: now }));
    expect((await readGnatRoom(there.context, there.shelf))!.counts[0]!.day).toBe("2026-11-24");
  });
});

describe("what was told of a count on cards", () => {
  const count = (flies: number) => ({
    ...{ id: uuidv7(), placeId: shelf, plantId: null, what: "cards" as const, days: 7, count: flies },
    at: context.now,
  });
  const on = (ago: number) => daysAgo(context, ago);
  const toldOf = async (id: string) => facts.find(scopeOf(context, "read"), "trapCount", id);
  beforeEach(async () => {
    await plantOn(context, shelf);
    const cards = { kind: "trap" as const, cards: 2, days: 30 };
    const hung = { ...aSpray("", null, 20), plantId: null, placeId: shelf, act: cards, at: on(20).now };
    expectOk(await recordAct(on(20), hung));
    expectOk(await countTraps(on(14), { ...count(12), at: on(14).now }));
  });

  it("is written down with it, and held against it; of the first count, and of one told late, nothing is", async () => {
    const week = (await readGnatRoom(on(7), shelf))!.judged!.expected;
    expect(week).toEqual([]);
    const second = { ...count(9), at: on(7).now };
    expectOk(await countTraps(on(7), second));
    expect(await toldOf(second.id)).toMatchObject({
      toldLow: expect.any(Number) as number,
      toldWithin: expect.any(Number) as number,
    });
    const late = { ...count(6), at: on(1).now };
    expectOk(await countTraps(context, late));
    expect(await toldOf(late.id)).toMatchObject({ toldLow: null, toldHigh: null, toldWithin: null });
    expect((await readTaught(context)).cards.within!.came.of).toBe(1);
    // Sent again it stays as it was told; struck out it is held against nothing.
    const { toldHigh } = (await toldOf(second.id))!;
    expectOk(await countTraps(context, second));
    expect((await toldOf(second.id))!.toldHigh).toBe(toldHigh);
    expectOk(await voidFact(context, { kind: "trapCount", factId: second.id, reason: "another room's" }));
    expect((await readTaught(context)).cards.within).toBeNull();
  });

  it("is of all cards of a day together: one more count of it says nothing", async () => {
    const [one, more] = [count(5), count(4)];
    for (const each of [one, more]) expectOk(await countTraps(context, each));
    expect((await toldOf(one.id))!.toldLow).not.toBeNull();
    expect((await toldOf(more.id))!.toldLow).toBeNull();
    expect((await readTaught(context)).cards.within).toBeNull();
  });
});

describe("a pest that comes back", () => {
  /** A case found and called clear so many days ago; gives its id. */
  const cleared = async (plantId: string, found: number, closed: number) => {
    const find = aFind();
    const look = aLook(plantId, found, { finds: [find] });
    expectOk(await recordLook(daysAgo(context, found), look));
    const closing = {
      id: uuidv7(),
      caseId: find.caseId,
      outcome: "clear" as const,
      note: "",
      at: daysAgo(context, closed).now,
    };
    expectOk(await closeCase(daysAgo(context, closed), closing));
    return find.caseId;
  };

  it("is told as a return on its case, and guarded for longer on a kind that is prone to it", async () => {
    const plantId = await plantOn(context, shelf);
    await cleared(plantId, 80, 40);
    const again = aFind();
    expectOk(await recordLook(context, aLook(plantId, 0, { finds: [again] })));
    const view = (await readCase(context, again.caseId))!;
    expect(view.returned).toMatchObject({ clearedOn: addDays(today(context), -40) });
    expect(view.hazard.why).toEqual(["prone", "returned"]);
    expectOk(await voidFact(context, { kind: "look", factId: (await lastLook(plantId)).id, reason: "lint" }));
    const guarded = (await readPlant(context, plantId))!.verdicts.guard;
    expect(guarded.until).toBe(addDays(today(context), 100));
  });

  it("is looked for a month before the time of year that it came in, twice", async () => {
    const plantId = await plantOn(daysAgo(context, 90), shelf, { acquiredOn: "2024-01-01" as Day });
    // Found in December of two years.
    for (const at of ["2024-12-10T12:00:00Z", "2025-12-14T12:00:00Z"]) {
      const find = aFind();
      const then = new Date(at);
      const look = { ...aLook(plantId, 0, { finds: [find] }), at: then, longAgo: true };
      expectOk(await recordLook(context, look));
      const closed = new Date(then.getTime() + 40 * 86_400_000);
      const closing = { id: uuidv7(), caseId: find.caseId, outcome: "clear" as const, note: "", at: closed };
      expectOk(await closeCase(context, closing));
    }
    const { verdicts, record } = (await readPlant(context, plantId))!;
    expect(record.cases).toHaveLength(2);
    expect(verdicts.returns).toMatchObject({ state: "clear", until: "2027-01-31" });
    expect(NOW.toISOString().slice(0, 7)).toBe("2026-11");
  });

  const lastLook = async (plantId: string) => (await readPlant(context, plantId))!.record.looks.at(-1)!;
});
