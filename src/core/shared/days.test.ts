import { addDays as libraryAddDays, differenceInCalendarDays, format, getISODay, parseISO } from "date-fns";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { addDays, day, dayNumber, daysBetween, isDay, weekdayOf, type Day } from "./days";

const anyDay = fc.integer({ min: 0, max: 40_000 }).map((n) => addDays(day("1970-01-01"), n));

describe("days", () => {
  // Source: Gregorian calendar; 2000 was a leap year, 1900 was not, 2026 is not.
  it.each([
    ["2000-02-29", true],
    ["1900-02-29", false],
    ["2026-02-29", false],
    ["2026-11-31", false],
    ["2026-1-01", false],
    ["", false],
    ["2026-11-24T00:00", false],
  ])("%s is a day: %s", (text, exists) => {
    expect(isDay(text)).toBe(exists);
  });

  it("counts as the date library counts", () => {
    fc.assert(
      fc.property(anyDay, anyDay, (a, b) => {
        expect(daysBetween(a, b)).toBe(differenceInCalendarDays(parseISO(b), parseISO(a)));
      }),
    );
  });

  it("adds as the date library adds, over changes of the clock too", () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: -800, max: 800 }), (a, n) => {
        expect(addDays(a, n)).toBe(format(libraryAddDays(parseISO(a), n), "yyyy-MM-dd"));
      }),
    );
  });

  it("numbers days from 1970", () => {
    expect(dayNumber("1970-01-01" as Day)).toBe(0);
    expect(dayNumber("2026-11-24" as Day)).toBe(20781);
  });

  it("names weekdays as the date library does", () => {
    fc.assert(
      fc.property(anyDay, (a) => {
        expect(weekdayOf(a)).toBe(getISODay(parseISO(a)));
      }),
    );
  });

  it("refuses what is no day and names it", () => {
    expect(() => day("tomorrow")).toThrow(new RangeError("not a day: tomorrow"));
  });
});
