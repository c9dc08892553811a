import { describe, expect, it } from "vitest";
import { costsOfAct, type Act } from "../../acts/acts";
import { handsOf, minutesAt, pacesFrom, type TimedAct } from "./pace";

const spray: Act = { kind: "contact", mix: "soapMild", technique: "spray", volumeMl: 60, spots: ["underside"] };
const trap: Act = { kind: "trap", cards: 1, days: 14 };
const ours = costsOfAct(spray, 12).minutes;
/** Sprays of one keeper, so many minutes after each other; the first times nothing. */
const sprays = (gaps: readonly number[], by = "ann", from = "2026-11-20T18:00:07Z"): TimedAct[] => {
  let at = Date.parse(from);
  return [0, ...gaps].map((gap, i) => {
    at += Math.round(gap * 60) * 1000;
    return { plantId: `${by}${i}`, act: spray, at: new Date(at), potCm: 12, by };
  });
};
const seven = (of: number) => Array.from({ length: 7 }, () => of);

describe("the pace of one's own hands", () => {
  it("is our minutes while nothing was timed, and comes nearer to the keeper's with each plant", () => {
    expect(pacesFrom([])).toEqual({});
    expect(minutesAt({}, spray, 12)).toBe(ours);
    const few = pacesFrom(sprays(seven(2 * ours).slice(0, 2))).spray!;
    const many = pacesFrom(sprays([...seven(2 * ours), ...seven(2 * ours), ...seven(2 * ours)])).spray!;
    expect(few.plants).toBe(2);
    expect(1 < few.factor && few.factor < many.factor && many.factor < 2).toBe(true);
    // (5 + 21 × 2) / (5 + 21), by hand.
    expect(many.factor).toBeCloseTo(47 / 26, 1);
    expect(minutesAt({ spray: many }, spray, 12)).toBeCloseTo(many.factor * ours, 9);
  });

  it("is not told by presses all at once, by pauses, by two acts at one plant, nor by the hands of somebody else", () => {
    expect(pacesFrom(sprays(seven(0.1)))).toEqual({});
    expect(pacesFrom(sprays(seven(25)))).toEqual({});
    // Rinsed and then sprayed at each plant: which took how long nobody knows.
    const both = sprays(seven(4)).flatMap((one) => [one, { ...one, at: new Date(one.at.getTime() + 1000) }]);
    expect(pacesFrom(both)).toEqual({});
    const two = [...sprays([]), ...sprays([], "ben", "2026-11-20T18:02:07Z")];
    expect(pacesFrom(two)).toEqual({});
  });

  it("takes a long talk at one plant for four times its minutes, and times no card that hangs", () => {
    expect(pacesFrom(sprays([Math.min(19, 9 * ours)])).spray!.factor).toBeLessThanOrEqual((5 + 4) / 6);
    expect(handsOf(trap)).toBeNull();
    expect(minutesAt({}, trap, 12)).toBe(costsOfAct(trap, 12).minutes);
  });
});
