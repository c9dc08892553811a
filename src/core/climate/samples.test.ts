import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Day } from "../shared/days";
import { daysFrom, screened, type Sample } from "./samples";

const now = new Date("2026-03-10T12:00:00Z");
const at = (minutes: number, celsius: number, humidity: number | null = 50): Sample => ({
  at: new Date(Date.parse("2026-03-08T00:00:00Z") + minutes * 60_000),
  celsius,
  humidity,
});
const doubts = (samples: readonly Sample[]) => screened(samples, now).map(({ doubt }) => doubt);
const utcDay = (moment: Date) => moment.toISOString().slice(0, 10) as Day;

describe("what a device says", () => {
  it("is put in order, each moment once, the first word counting", () => {
    const told = screened([at(20, 21), at(0, 20), at(20, 99), at(10, 20.5)], now);
    expect(told.map(({ celsius }) => celsius)).toEqual([20, 20.5, 21]);
  });

  // Source: range, step and persistence tests as weather services make them, from memory; the bounds are our own.
  it("is not believed from the future, where it cannot be, or where it jumps there and back", () => {
    expect(doubts([{ ...at(0, 20), at: new Date("2026-03-10T12:06:00Z") }])).toEqual(["future"]);
    expect(doubts([{ ...at(0, 20), at: new Date("2026-03-10T12:04:00Z") }])).toEqual([null]);
    expect(doubts([at(0, 85), at(10, -40), at(20, 20, 130)])).toEqual(["impossible", "impossible", "impossible"]);
    expect(doubts([at(0, 20), at(10, 45), at(20, 20.2)])).toEqual([null, "spike", null]);
    expect(doubts([at(0, 20), at(10, 30), at(20, 31)])).toEqual([null, null, null]);
  });

  it("is not believed once it has not changed at all for a day; its first word is", () => {
    const stuck = Array.from({ length: 145 }, (_, i) => at(10 * i, 21.3));
    expect(doubts(stuck)).toEqual([null, ...Array.from({ length: 144 }, () => "stuck")]);
    expect(new Set(doubts(stuck.slice(0, 100)))).toEqual(new Set([null]));
    expect(new Set(doubts(stuck.map((one, i) => ({ ...one, celsius: 21 + (i % 2) / 10 }))))).toEqual(new Set([null]));
  });
});

describe("days from samples", () => {
  it("weigh hours alike, however often a device spoke in one", () => {
    const busy = [at(0, 10), at(1, 10), at(2, 10), at(3, 10), at(60, 20)];
    expect(daysFrom(busy, utcDay)).toEqual([
      expect.objectContaining({ day: "2026-03-08", minC: 10, maxC: 20, meanC: 15, hours: 2, samples: 5, humidity: 50 }),
    ]);
  });

  it("are those of where the place is: an evening west of Greenwich belongs to the day before", () => {
    const eveningOfThe7th = new Date("2026-03-08T02:00:00Z");
    const west = (moment: Date) => utcDay(new Date(moment.getTime() - 8 * 3_600_000));
    expect(daysFrom([{ at: eveningOfThe7th, celsius: 20, humidity: null }], west)[0]).toMatchObject({
      day: "2026-03-07",
      humidity: null,
      deficitKpa: null,
    });
  });

  it("do not depend on the order of arrival, and keep every mean between its extremes", () => {
    const sample = fc.record({ minutes: fc.integer({ min: 0, max: 3000 }), celsius: fc.integer({ min: 5, max: 35 }) });
    fc.assert(
      fc.property(
        fc.uniqueArray(sample, { selector: ({ minutes }) => minutes, minLength: 1, maxLength: 60 }),
        (all) => {
          const samples = all.map(({ minutes, celsius }) => at(minutes, celsius));
          const days = daysFrom(samples, utcDay);
          expect(daysFrom(samples.toReversed(), utcDay)).toEqual(days);
          for (const { minC, meanC, maxC } of days) {
            expect(meanC).toBeGreaterThanOrEqual(minC - 1e-9);
            expect(meanC).toBeLessThanOrEqual(maxC + 1e-9);
          }
          expect(days.reduce((sum, one) => sum + one.samples, 0)).toBe(samples.length);
        },
      ),
    );
  });
});
