import { describe, expect, it } from "vitest";
import { byDeviceClock } from "./deviceClock";

const now = new Date("2026-11-24T18:00:00Z");
const at = (time: string) => new Date(`2026-11-24T${time}:00Z`);

describe("the moment of a press", () => {
  it.each([
    ["a right clock is believed", "12:00", "2026-11-24T18:00:30Z", "12:00"],
    ["a little ahead is right enough", "12:00", "2026-11-24T18:01:59Z", "12:00"],
    ["an hour fast", "13:00", "2026-11-24T19:00:00Z", "12:00"],
    ["an hour slow", "11:00", "2026-11-24T17:00:00Z", "12:00"],
    ["nothing is known of the clock", "12:00", null, "12:00"],
    ["what is no time", "12:00", "noon", "12:00"],
  ])("%s", (_why, pressed, shown, expected) => {
    expect(byDeviceClock(at(pressed), shown, now)).toEqual(at(expected));
  });

  it("kept for days by a clock that has lost the time, it lies so long before the sending", () => {
    // Pressed on the second day of 1970 by that clock, sent three days later.
    const pressed = new Date("1970-01-02T10:00:00Z");
    expect(byDeviceClock(pressed, "1970-01-05T10:00:00Z", now)).toEqual(new Date("2026-11-21T18:00:00Z"));
  });
});
