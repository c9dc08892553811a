import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { place } from "../../record/cases/tests/facts";
import { apartPlaces, awayFromIsland, type Occupant } from "./apartPlaces";
import { plantsThatCatch } from "./reintroduction";
import { placeTree } from "../spread/places";

const stands = (plantId: string, placeId: string, over: Partial<Occupant> = {}): Occupant => ({
  ...{ plantId, placeId, inCase: false, arriving: false },
  ...over,
});
const places = [
  place("hall", "room"),
  place("sill", "shelf", "hall", { roomFor: 3 }),
  place("desk", "shelf", "hall", { roomFor: 2 }),
  place("bath", "room"),
  place("ledge", "shelf", "bath"),
  place("pantry", "isolation", null, { doorShut: true, roomFor: 2 }),
  place("corner", "isolation", "hall", { roomFor: 4 }),
  place("loft", "isolation", null, { doorShut: true }),
];

describe("where a plant may be set apart", () => {
  it("behind a shut door first, then where the door stands open", () => {
    expect(apartPlaces(places, [], { plantId: "x", inCase: true }).map(({ placeId }) => placeId)).toEqual([
      "pantry",
      "loft",
      "corner",
    ]);
  });

  // Common practice: never a new arrival beside a find.
  it("never a find beside an arrival, nor an arrival beside a find, if there is any other place", () => {
    const there = [stands("new", "loft", { arriving: true }), stands("sick", "pantry", { inCase: true })];
    const first = (inCase: boolean) => apartPlaces(places, there, { plantId: "x", inCase })[0];
    expect(first(true)).toEqual({ placeId: "pantry", free: 1, against: [] });
    expect(first(false)).toEqual({ placeId: "loft", free: null, against: [] });
  });

  it("a full place only when there is nothing else without worse", () => {
    const there = [stands("a", "pantry", { inCase: true }), stands("b", "pantry", { inCase: true })];
    const ranked = apartPlaces(places, there, { plantId: "x", inCase: true });
    expect(ranked.map(({ placeId }) => placeId)).toEqual(["loft", "corner", "pantry"]);
    expect(ranked.at(-1)).toMatchObject({ free: 0, against: ["full"] });
    // A plant does not take its own room away.
    expect(apartPlaces(places, there, { plantId: "a", inCase: true })[0]).toMatchObject({ placeId: "loft" });
  });
});

describe("an island", () => {
  const { roomOf } = placeTree(places);

  it("the others go to another shelf of the room while there is room, then to another room", () => {
    const there = ["a", "b", "c", "d"].map((id) => stands(id, "sill"));
    const moves = awayFromIsland(places, there, "sill", ["a", "b", "c"], roomOf);
    expect(moves.map(({ placeId }) => placeId)).toEqual(["desk", "desk", "ledge"]);
  });

  it("nothing goes beside a find, nothing into an isolation place, and no place takes more than it holds", () => {
    const some = fc.array(
      fc.record({ placeId: fc.constantFrom(...places.map(({ id }) => id)), inCase: fc.boolean() }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(some, (all) => {
        const occupants = all.map((one, i) => stands(`p${i}`, one.placeId, one));
        const leaving = occupants.filter((one) => one.placeId === "sill" && !one.inCase).map((one) => one.plantId);
        const moves = awayFromIsland(places, occupants, "sill", leaving, roomOf);
        for (const { placeId } of moves) {
          if (placeId === null) continue;
          const target = places.find(({ id }) => id === placeId)!;
          expect(["shelf", "room"]).toContain(target.kind);
          expect(occupants.some((one) => one.placeId === placeId && one.inCase)).toBe(false);
          const after =
            occupants.filter((one) => one.placeId === placeId && !leaving.includes(one.plantId)).length +
            moves.filter((one) => one.placeId === placeId).length;
          expect(after).toBeLessThanOrEqual(target.roomFor ?? Infinity);
        }
      }),
    );
  });
});

describe("what bringing a plant back risks", () => {
  const pests = [{ pest: "mealybug", p: 0.2 }] as const;

  // Closed form: where nothing grows, what moves of five animals for thirty days reaches a plant with 1 − e^(−τ · 150 · share).
  it("is the chance that it carries times how many it reaches", () => {
    const cold = plantsThatCatch(pests, "trailingVine", { place: 1 }, 5, 30);
    const share = -Math.log(1 - cold / 0.2) / (3e-4 * 150);
    expect(share).toBeGreaterThan(0.2);
    expect(share).toBeLessThan(1);
    const twiceAsLong = plantsThatCatch(pests, "trailingVine", { place: 1 }, 5, 60);
    expect(twiceAsLong).toBeCloseTo(0.2 * (1 - Math.exp(-3e-4 * 300 * share)), 3);
    expect(plantsThatCatch(pests, "trailingVine", { place: 4 }, 5, 30)).toBeCloseTo(4 * cold, 12);
  });

  it("is more where it is warm, where it touches, and where more stand; nothing where nothing stands", () => {
    const at = (meanC: number, others: Parameters<typeof plantsThatCatch>[2]) =>
      plantsThatCatch(pests, "trailingVine", others, meanC, 30);
    expect(at(26, { place: 1 })).toBeGreaterThan(at(18, { place: 1 }));
    expect(at(22, { touching: 1 })).toBeGreaterThan(at(22, { place: 1 }));
    expect(at(22, {})).toBe(0);
    expect(() => plantsThatCatch([{ pest: "aphid", p: 2 }], "fern", {}, 20, 30)).toThrow(RangeError);
  });
});
