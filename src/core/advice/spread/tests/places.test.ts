import { describe, expect, it } from "vitest";
import { perAnimalAt } from "../../../model/carriage/rates";
import { place } from "../../../record/cases/tests/facts";
import { placeTree } from "../places";

const tree = placeTree([
  place("hall", "room"),
  place("top", "shelf", "hall", { dripsOn: "low" }),
  place("low", "shelf", "hall"),
  place("tray", "tray", "low"),
  place("bag", "bag", "top"),
  place("case", "cabinet", "hall"),
  place("caseShelf", "shelf", "case"),
  place("cell", "isolation", "hall", { doorShut: true }),
  place("bath", "room"),
  place("study", "room", null, { doorShut: true }),
  place("studySill", "shelf", "study"),
  place("studyDesk", "shelf", "study"),
  place("terrace", "outdoors"),
]);
const between = (a: string, b: string) => {
  const passage = tree.between(a, b);
  return passage && [passage.nearness, passage.passes];
};

// Common practice, no source: what stands together, what a door, a bag and a cabinet keep from each other.
describe("how things pass between places", () => {
  it.each<[string, string, string, unknown]>([
    ["at the same place", "top", "top", ["place", 1]],
    ["a shelf and the tray on it are one place", "low", "tray", ["place", 1]],
    ["in the same tray", "tray", "tray", ["tray", 1]],
    ["what drips onto it", "top", "low", ["drip", 1]],
    ["water does not drip upwards", "low", "top", ["room", 1]],
    ["and drips into the tray too", "top", "tray", ["drip", 1]],
    ["out of a bag where it stands", "bag", "top", ["place", 0.02]],
    ["from the room into a cabinet", "hall", "caseShelf", ["room", 1 / 3]],
    ["within the same cabinet", "caseShelf", "caseShelf", ["place", 1]],
    ["behind a shut door in the same room", "cell", "hall", null],
    ["together behind that door", "cell", "cell", ["place", 1]],
    ["two shelves in a room whose door is shut", "studySill", "studyDesk", ["room", 1]],
    ["another room with its door open", "hall", "bath", ["open", 1]],
    ["another room with its door shut", "hall", "studySill", null],
    ["outdoors", "terrace", "hall", null],
    ["a place that nobody knows", "hall", "nowhere", null],
  ])("%s", (_why, from, to, expected) => {
    expect(between(from, to)).toEqual(expected);
  });

  it("multiplies the background outdoors, in a cabinet and in a bag", () => {
    expect(["hall", "terrace", "caseShelf", "bag"].map((id) => tree.background(id))).toEqual([1, 10, 1 / 3, 0.02]);
  });

  it("gives more to what flies, and root mealybugs only what the water takes", () => {
    expect(perAnimalAt("mealybug", "place")).toBe(3e-4);
    expect(perAnimalAt("thrips", "place") / perAnimalAt("mealybug", "place")).toBeCloseTo(3, 12);
    expect(perAnimalAt("spiderMite", "room") / perAnimalAt("mealybug", "room")).toBeCloseTo(5, 12);
    expect(perAnimalAt("thrips", "touching")).toBe(perAnimalAt("mealybug", "touching"));
    expect(["touching", "place", "room", "open"].map((n) => perAnimalAt("rootMealybug", n as "room"))).toEqual([
      0, 0, 0, 0,
    ]);
    expect(perAnimalAt("rootMealybug", "tray")).toBe(perAnimalAt("rootMealybug", "drip"));
  });
});
