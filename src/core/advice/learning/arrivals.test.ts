import { describe, expect, it } from "vitest";
import { addDays, type Day } from "../../shared/days";
import { ARRIVALS_PRIOR, SHOWS_WITHIN_DAYS } from "../../model/carriage/arrivalShare";
import type { CameFrom } from "../spread/record";
import { arrivalsTaught } from "./arrivals";

const CAME = "2026-03-01" as Day;
let n = 0;
/** A plant that showed mealybugs so many days after it came; null: never. */
const from = (seller: string, shownAfter: number | null): CameFrom => ({
  ...{ plantId: `p${n++}`, seller, acquiredOn: CAME, cameOn: CAME },
  shown: shownAfter === null ? [] : [{ pest: "mealybug", on: addDays(CAME, shownAfter) as Day }],
});

describe("what comes with the plants of a seller", () => {
  it("counts what showed soon, and not what was caught here later or was there before anybody wrote it down", () => {
    const all = [
      ...[from("Swap", 0), from("Swap", SHOWS_WITHIN_DAYS), from("Swap", SHOWS_WITHIN_DAYS + 1), from("Swap", null)],
      ...[from("Swap", -3), from("Stall", null), from("", 5)],
    ];
    const taught = arrivalsTaught(all, ARRIVALS_PRIOR);
    expect(taught.map(({ seller, plants, showed }) => [seller, plants, showed])).toEqual([
      ["Swap", 5, 2],
      ["Stall", 1, 0],
    ]);
    // The estimate of the model for the next plant: (1 + k) / (10 + n).
    expect(taught.map(({ learned }) => learned.mean)).toEqual([3 / 15, 1 / 11]);
    expect(arrivalsTaught(all.toReversed(), ARRIVALS_PRIOR)).toEqual(taught);
  });

  it("one bad plant of one is no verdict: its span holds what we start from", () => {
    const [one] = arrivalsTaught([from("Swap", 4)], ARRIVALS_PRIOR);
    expect(one!.learned.low).toBeLessThan(0.1);
    expect(one!.learned.high).toBeGreaterThan(0.18);
  });
});
