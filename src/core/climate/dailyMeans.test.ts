import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { dailyMean, dailyMeans, type DatedTemperature } from "./dailyMeans";
import { addDays, day } from "../shared/days";

const first = day("2026-03-01");
const on = (offset: number, celsius: number, source: DatedTemperature["source"] = "about"): DatedTemperature => ({
  day: addDays(first, offset),
  celsius,
  source,
});
const means = (temperatures: DatedTemperature[], from: number, to: number) =>
  dailyMeans(temperatures, addDays(first, from), addDays(first, to));

describe("daily means", () => {
  it.each<[string, DatedTemperature[], number[]]>([
    ["one word holds for ever, also before it", [on(2, 21)], [21, 21, 21, 21, 21, 21]],
    ["a later word holds from its day on", [on(0, 20), on(3, 24)], [20, 20, 20, 24, 24, 24]],
    ["of two words of one day the later counts", [on(0, 20), on(2, 30), on(2, 23)], [20, 20, 23, 23, 23, 23]],
    [
      "a thermometer gives the mean of lowest and highest",
      [on(0, 20), on(1, 16, "thermometer"), on(1, 17, "thermometer"), on(1, 22, "thermometer")],
      [20, 19, 19, 19, 19, 19],
    ],
    [
      "a thermometer goes before a word of the same day",
      [on(0, 20), on(1, 15, "thermometer"), on(1, 25)],
      [20, 15, 15, 15, 15, 15],
    ],
    [
      "a word after it goes before what was read",
      [on(0, 20), on(1, 15, "thermometer"), on(3, 25)],
      [20, 15, 15, 25, 25, 25],
    ],
    [
      "a measured day goes before whatever was said of it, and holds until the next is",
      [on(0, 20), on(2, 24, "measured"), on(2, 15, "thermometer"), on(4, 22, "measured")],
      [20, 20, 24, 24, 22, 22],
    ],
    [
      "what was said on a measured day holds from the next on",
      [on(0, 20), on(2, 24, "measured"), on(2, 18), on(4, 22, "measured")],
      [20, 20, 24, 18, 22, 22],
    ],
  ])("%s", (_why, temperatures, expected) => {
    expect(means(temperatures, 0, 5)).toEqual(expected);
  });

  it("is for each day what it is for that day alone, whatever the first day asked about", () => {
    const temperature = fc.record({
      offset: fc.integer({ min: -20, max: 20 }),
      celsius: fc.integer({ min: 5, max: 35 }),
      source: fc.constantFrom("about" as const, "thermometer" as const, "measured" as const),
    });
    fc.assert(
      fc.property(
        fc.array(temperature, { minLength: 1, maxLength: 12 }),
        fc.integer({ min: -25, max: 25 }),
        fc.integer({ min: 0, max: 30 }),
        (given, from, span) => {
          const temperatures = given.map(({ offset, celsius, source }) => on(offset, celsius, source));
          const all = means(temperatures, from, from + span);
          expect(all).toEqual(all.map((_, i) => dailyMean(temperatures, addDays(first, from + i))));
          expect(Math.min(...all)).toBeGreaterThanOrEqual(Math.min(...temperatures.map((t) => t.celsius)));
          expect(Math.max(...all)).toBeLessThanOrEqual(Math.max(...temperatures.map((t) => t.celsius)));
        },
      ),
    );
  });

  it("has no answer without a temperature", () => {
    expect(() => means([], 0, 1)).toThrow(RangeError);
  });
});
