import { describe, expect, it } from "vitest";
import { promisesKept, type Promised } from "./promises";

const day = (n: number) => new Date(Date.UTC(2026, 5, n));
const plan = (adopted: number, treated: readonly (number | null)[], pClean: number | null = 0.7): Promised => ({
  ...{ adoptedAt: day(adopted), pClean },
  treatments: treated.map((on) => (on === null ? null : day(on))),
});
const clear = (closed: number, finds: readonly number[] = [1]) =>
  ({ finds: finds.map(day), closedAt: day(closed), outcome: "clear" }) as const;

describe("what came of what a plan promised", () => {
  it.each<[string, readonly Promised[], Parameters<typeof promisesKept>[1], readonly boolean[]]>([
    ["clean until it was called clear: kept", [plan(1, [2, 9])], clear(30), [true]],
    ["found again after its last treatment: not kept", [plan(1, [2, 9])], clear(30, [1, 16]), [false]],
    ["found again while it ran: that was to be expected", [plan(1, [2, 9])], clear(30, [1, 5]), [true]],
    ["found on the day of its last treatment, before it", [plan(1, [2, 9])], clear(30, [1, 9]), [true]],
    [
      "another plan followed a find: the first was not kept, the second was",
      [plan(1, [2]), plan(9, [9, 16])],
      clear(40, [1, 9]),
      [false, true],
    ],
    ["another plan came before the end: of the first nobody knows", [plan(1, [2]), plan(5, [6])], clear(40), [true]],
    ["a treatment was left out: nobody knows", [plan(1, [2, null])], clear(30), []],
    ["it still runs", [plan(1, [2])], { finds: [day(1)], closedAt: null, outcome: null }, []],
    ["the plant was lost", [plan(1, [2])], { finds: [day(1)], closedAt: day(20), outcome: "lost" }, []],
    ["it promised nothing", [plan(1, [2], null)], clear(30), []],
    ["it had no treatments", [plan(1, [])], clear(30), []],
  ])("%s", (_what, plans, course, came) => {
    expect(promisesKept(plans, course).map((one) => one.came)).toEqual(came);
  });
});
