import { describe, expect, it } from "vitest";
import { pestIds } from "../pests/pests";
import { genera, genusNamed } from "./genera";
import { growthFormIds, growthForms, spotsOf } from "./growthForms";
import { spotIds, spots } from "./spots";

describe("the spot table", () => {
  it("gives every pest somewhere to be on every growth form", () => {
    for (const form of growthFormIds) {
      for (const pest of pestIds) {
        const weight = (id: (typeof spotIds)[number]) =>
          (spots[id].weight as Partial<Record<string, number>>)[pest] ?? 0;
        const total = spotsOf(form).reduce((sum, id) => sum + weight(id), 0);
        expect(total, `${pest} on ${form}`).toBeGreaterThan(0);
      }
    }
  });

  // Facts of the trade (common practice, no source).
  it("only cacti have areoles, and only tubercled and ribbed ones have gaps", () => {
    const withSpot = (spot: string) =>
      growthFormIds.filter((id) => (growthForms[id].spots as readonly string[]).includes(spot));
    expect(withSpot("areole")).toEqual(["tubercledCactus", "columnarCactus", "jointedCactus"]);
    expect(withSpot("gap")).toEqual(["tubercledCactus", "columnarCactus"]);
  });

  it("a leafless stem has no underside, an orchid with pseudobulbs has sheaths, and every plant a pot", () => {
    expect(spotsOf("stemSucculent")).not.toContain("underside");
    expect(spotsOf("pseudobulbOrchid")).toContain("sheath");
    for (const form of growthFormIds)
      expect(spotsOf(form)).toEqual(expect.arrayContaining(["neck", "mixTop", "roots", "pot"]));
  });
});

describe("the genera", () => {
  it("names each once, in order, at least sixty of them", () => {
    const names = genera.map((genus) => genus.name);
    expect(names).toEqual([...new Set(names)].toSorted());
    expect(names.length).toBeGreaterThanOrEqual(60);
  });

  it.each([
    ["hoya", "trailingVine"],
    ["  MONSTERA ", "climbingAroid"],
    ["Phalaenopsis", "fanOrchid"],
    ["Mammillaria", "tubercledCactus"],
    ["Lithops", "stemSucculent"],
  ])("finds %s as %s", (name, form) => {
    expect(genusNamed(name)?.form).toBe(form);
  });

  it("knows that it does not know", () => {
    expect(genusNamed("Inventedia")).toBeNull();
    expect(genusNamed("")).toBeNull();
  });

  // Common practice, no source: ferns, jewel orchids, prayer plants and hairy leaves do not bear oil.
  it.each(["Adiantum", "Nephrolepis", "Ludisia", "Maranta", "Calathea", "Saintpaulia", "Aechmea"])(
    "%s does not bear oil",
    (name) => {
      expect(genusNamed(name)?.sensitivities).toContain("oilShy");
    },
  );
});
