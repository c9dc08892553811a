import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { v7 as uuidv7 } from "uuid";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { addDays, daysBetween } from "@/core/shared/days";
import { tell, type FaultId } from "../../../../demo/air/devices";
import { today, type Context } from "../../shared/context";
import { dropSensor } from "../../climate/commands/dropSensor";
import { importReadings } from "../../climate/commands/importReadings";
import { keepSensor } from "../../climate/commands/keepSensor";
import { expectOk } from "../../shared/outcome";
import { askSensor, mayAsk } from "../../climate/askSensor";
import { readClimate } from "../../climate/queries/readClimate";
import { readPaces } from "../../sessions/queries/readPaces";
import { readPlaces } from "../../places/queries/readPlaces";
import { senseClimate } from "../../climate/commands/senseClimate";
import { takeReading } from "../../climate/commands/takeReading";
import { codes, daysAgo, freshCollection, NOW } from "../builders";

let context: Context;
let shelf: string;
beforeEach(async () => {
  ({ context, shelf } = await freshCollection());
});
const go = () => true;
const later = (days: number): Context => daysAgo(context, -days);
const row = (date: string, min: string, max: string, humidity = "50") => ({ date, min, max, humidity });
const known = async (at = context) => (await readClimate(at, shelf))!.days.filter(({ minC }) => minC !== null);

describe("readings from a table", () => {
  it("become days, once however often they come; the warmth that is reckoned with follows", async () => {
    const rows = [row("2026-11-20", "14", "22"), row("2026-11-22", "16", "24")];
    expect(expectOk(await importReadings(context, { placeId: shelf, rows }))).toMatchObject({ added: 2, known: 0 });
    expect(expectOk(await importReadings(context, { placeId: shelf, rows }))).toMatchObject({ added: 0, known: 2 });
    const days = (await readClimate(context, shelf))!.days;
    const of = (day: string) => days.find((one) => one.day === day)!;
    expect(of("2026-11-20")).toMatchObject({ meanC: 18, minC: 14, maxC: 22, humidity: 50, filled: false });
    // The day between is as warm as the last one known, and says so.
    expect(of("2026-11-21")).toMatchObject({ meanC: 18, minC: null, filled: true });
    expect(of("2026-11-24").meanC).toBe(20);
    const place = (await readPlaces(context)).find(({ id }) => id === shelf)!;
    expect(place.meanC).toBe(20);
    expect((await readPaces(context)).places.find(({ id }) => id === shelf)!.meanC).toBeLessThan(25);
  });

  it("with times of their own are days of where the place is, whatever their offset; a fuller telling of a day counts", async () => {
    const at = (time: string, celsius: string) => ({ time, temp: celsius });
    const some = [at("2026-11-20 08:00", "18"), at("2026-11-20 20:00", "20"), at("2026-11-21T00:30:00+02:00", "30")];
    expectOk(await importReadings(context, { placeId: shelf, rows: some }));
    expect(await known()).toEqual([]);
    const all = Array.from({ length: 24 }, (_, hour) => at(`2026-11-20 ${String(hour).padStart(2, "0")}:15`, "19"));
    expectOk(await importReadings(context, { placeId: shelf, rows: all }));
    expect(await known()).toMatchObject([{ day: "2026-11-20", meanC: 19 }]);
  });

  it("are refused whole where a row cannot be read, with every row that is wrong", async () => {
    const rows = [
      row("2026-11-20", "14", "22"),
      row("2026-11-21", "warm", "22"),
      { date: "", min: "1", max: "2", humidity: "" },
    ];
    expect(expectOk(await importReadings(context, { placeId: shelf, rows }))).toEqual({
      refused: [
        { row: 2, column: "min", code: "not_a_number" },
        { row: 3, column: "date", code: "required" },
      ],
    });
    expect(await known()).toEqual([]);
    expect(codes(await importReadings(context, { placeId: shelf, rows: [] }))).toEqual([" no_rows"]);
    expect(codes(await importReadings(context, { placeId: uuidv7(), rows }))).toEqual(["placeId unknown"]);
  });

  it("of the future change nothing", async () => {
    const rows = [row("2026-11-25", "14", "22"), row("2027-01-01", "14", "22")];
    expect(expectOk(await importReadings(context, { placeId: shelf, rows }))).toMatchObject({ added: 0 });
    expect(await known()).toEqual([]);
  });

  it("a word of the keeper's holds again from the day after the last that was measured", async () => {
    expectOk(await importReadings(context, { placeId: shelf, rows: [row("2026-11-22", "16", "24")] }));
    const said = { id: uuidv7(), placeId: shelf, celsius: 17, source: "about" as const, at: daysAgo(context, 1).now };
    expectOk(await takeReading(context, said));
    const days = (await readClimate(context, shelf))!.days.slice(-3).map(({ meanC }) => meanC);
    expect(days).toEqual([20, 17, 17]);
  });
});

describe("a device that tells the air", () => {
  let server: Server;
  let fault: FaultId | null = null;
  let clock = NOW;
  let answer: ((since: Date) => unknown) | null = null;
  let asked = 0;
  beforeAll(async () => {
    server = createServer((request, response) => {
      asked++;
      const since = new Date(new URL(request.url!, "http://x").searchParams.get("since")!);
      response.end(answer ? String(answer(since)) : JSON.stringify(tell("terrace", since, clock, fault)));
    });
    await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  });
  afterAll(() => new Promise((resolve) => server.close(resolve)));
  beforeEach(async () => {
    [fault, answer, clock, asked] = [null, null, NOW, 0];
    const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/air`;
    expectOk(await keepSensor(context, { id: uuidv7(), name: "Air", placeId: shelf, address }));
  });
  const hear = async (at: Context) => {
    clock = at.now;
    await senseClimate(at, go);
  };
  const problem = async () => (await readClimate(context, shelf))!.sensors[0]!.problem;

  it("is asked for all it has, page by page, and its days are made once they are over; asked again they stay", async () => {
    await hear(context);
    const days = await known();
    expect(days.length).toBeGreaterThan(38);
    expect(days.at(-1)!.day).toBe(addDays(today(context), -1));
    expect(asked).toBeGreaterThan(3);
    await hear(later(1 / 24));
    expect(await known()).toEqual(days);
    await hear(later(1));
    expect((await known(later(1))).length).toBe(days.length + 1);
  });

  it("is asked every five minutes and not more often", async () => {
    await hear(context);
    const before = asked;
    await hear(context);
    expect(asked).toBe(before);
  });

  it("that lies is not believed", async () => {
    fault = "lies";
    await hear(context);
    const days = await known();
    expect(days.length).toBeGreaterThan(30);
    expect(Math.max(...days.map(({ maxC }) => maxC!))).toBeLessThan(40);
  });

  it("that stops tells nothing more: the days after are filled in, and it goes on when it speaks again", async () => {
    fault = "stops";
    await hear(context);
    const days = (await readClimate(context, shelf))!.days;
    expect(days.at(-2)!.filled).toBe(true);
    fault = null;
    await hear(later(1));
    expect((await known(later(1))).at(-1)!.day).toBe(today(context));
  });

  it("that repeats itself is not asked for ever, and what does not change for days is no climate", async () => {
    fault = "repeats";
    await hear(context);
    expect(asked).toBeLessThan(45);
    expect((await known()).length).toBeLessThan(4);
  });

  it("that tells of the future changes nothing in it", async () => {
    fault = "future";
    await hear(context);
    expect((await known()).every(({ day }) => daysBetween(day, today(context)) > 0)).toBe(true);
    await hear(later(1));
    expect((await known(later(1))).at(-1)!.day).toBe(today(context));
  });

  it("that answers nonsense, or nothing, is told of and loses nothing", async () => {
    await hear(context);
    const days = await known();
    answer = () => "<html>";
    await hear(later(0.1));
    expect(await problem()).toBe("not_understood");
    answer = () => JSON.stringify({ readings: [{ at: "yesterday", celsius: 20 }] });
    await hear(later(0.2));
    expect(await problem()).toBe("not_understood");
    expect(await known()).toEqual(days);
    answer = null;
    await hear(later(0.3));
    expect(await problem()).toBeNull();
  });

  it("outside the house is never asked", async () => {
    const addresses = [
      "http://8.8.8.8/",
      "https://[2001:4860::8888]/",
      "ftp://127.0.0.1/",
      "http://me@127.0.0.1/",
      "air",
    ];
    for (const address of addresses) {
      expect(mayAsk(address)).toBe(false);
      const kept = await keepSensor(context, { id: uuidv7(), name: "Far", placeId: shelf, address });
      expect(codes(kept)).toEqual(["address address_not_near"]);
    }
    expect(["http://127.0.0.1:1/", "http://192.168.1.7/air", "http://[::1]/", "http://air.local/"].map(mayAsk)).toEqual(
      [true, true, true, true],
    );
    await expect(askSensor("http://8.8.8.8/", NOW)).rejects.toThrow("not_near");
    await expect(askSensor("http://127.0.0.1:1/", NOW)).rejects.toThrow("no_answer");
  });

  it("that was taken away is asked no more; its days stay", async () => {
    await hear(context);
    const { sensors } = (await readClimate(context, shelf))!;
    expectOk(await dropSensor(context, { id: sensors[0]!.id }));
    const before = asked;
    await hear(later(1));
    expect(asked).toBe(before);
    expect((await known()).length).toBeGreaterThan(30);
  });
});
