import { describe, expect, it } from "vitest";
import { genera, genusNamed, type Sensitivity } from "../plants/genera";
import { mixIds, mixes } from "../mixing/mixes";
import { objections } from "./suitability";

const bearer = (name: string, inFlower = false) => ({ sensitivities: genusNamed(name)!.sensitivities, inFlower });
const found = (
  name: string,
  ...[mix, technique, inFlower]: [Parameters<typeof objections>[1], Parameters<typeof objections>[2], boolean?]
) => objections(bearer(name, inFlower), mix, technique).map((o) => `${o.level} ${o.code}`);

describe("what speaks against a mix", () => {
  // Common practice, no source; oil labels, from memory.
  it.each([
    ["ferns do not bear oil", found("Adiantum", "oil1", "spray"), "refuse oilOnShy"],
    ["jewel orchids do not bear oil", found("Ludisia", "oil1", "spray"), "refuse oilOnShy"],
    ["oil ruins a wax bloom", found("Echeveria", "oil1", "spray"), "refuse oilOnBloom"],
    ["thin-leaved orchids bear 1 % at most", found("Phalaenopsis", "oil2", "spray"), "refuse oilTooStrong"],
    ["flowers fade in oil", found("Citrus", "oil1", "spray", true), "warn smotherFlowers"],
    ["flowers fade in neem", found("Citrus", "neemUsual", "spray", true), "warn smotherFlowers"],
    ["alcohol strips a wax bloom", found("Echeveria", "alcoholHalf", "dab"), "warn stripsBloom"],
    ["a resting cactus stays dry", found("Mammillaria", "soapMild", "spray"), "warn wetInRest"],
    ["milky sap", found("Euphorbia", "soapMild", "spray"), "warn milkySap"],
  ])("%s", (_why, objected, expected) => {
    expect(objected).toContain(expected);
  });

  it.each([
    ["1 % oil on a moth orchid", found("Phalaenopsis", "oil1", "spray")],
    ["alcohol near flowers", found("Citrus", "alcoholHalf", "dab", true)],
    [
      "a dab on a resting cactus wets nothing",
      found("Mammillaria", "alcoholFull", "dab").filter((o) => o.includes("wetInRest")),
    ],
  ])("nothing against %s", (_why, objected) => {
    expect(objected).toEqual([]);
  });

  it("refuses only oil, and puts refusals first", () => {
    for (const genus of genera) {
      for (const mix of mixIds) {
        const levels = objections({ ...genus, inFlower: true }, mix, "spray").map((o) => o.level);
        expect(levels).toEqual(levels.toSorted());
        if (mixes[mix].remedy !== "oil") expect(levels).not.toContain("refuse" satisfies (typeof levels)[number]);
      }
    }
    expect(objections({ sensitivities: [] as Sensitivity[], inFlower: false }, "oil2", "spray")).toEqual([]);
  });
});
