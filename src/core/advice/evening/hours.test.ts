import { describe, expect, it } from "vitest";
import { LONGEST_MINUTES } from "./choose";
import { eveningBegins, eveningMinutes, isUsual } from "./hours";

describe("the hours of an evening", () => {
  it.each([
    ["an evening", "19:00", "21:30", 150],
    ["past midnight", "23:00", "00:30", 90],
    ["planned at breakfast there is room for all that anyone does in one go", "08:00", "22:00", LONGEST_MINUTES],
    ["its end has gone by", "23:00", "22:00", 0],
    ["no time at all", "20:00", "20:00", 0],
  ])("%s", (_why, from, until, minutes) => {
    expect(eveningMinutes(from, until)).toBe(minutes);
  });

  it.each([
    ["at breakfast", "08:10", "18:00"],
    ["at dusk", "18:00", "18:00"],
    ["in the middle of it", "20:15", "20:15"],
    ["past midnight it goes on", "01:30", "01:30"],
    ["whoever gets up at four plans the next one", "04:00", "18:00"],
    ["and so does who plans after its end", "22:48", "18:00"],
  ])("%s", (_why, now, begins) => {
    expect(eveningBegins(now, { usual: "18:00", until: "22:00" })).toBe(begins);
  });

  it("one that ends past midnight is not over before", () => {
    expect(eveningBegins("23:30", { usual: "18:00", until: "00:30" })).toBe("23:30");
  });

  it("what was begun once in the night is not begun so tomorrow", () => {
    expect(["01:30", "11:59", "12:00", "20:15"].map(isUsual)).toEqual([false, false, true, true]);
  });
});
