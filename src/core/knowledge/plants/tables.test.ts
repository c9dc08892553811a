import { describe, expect, it } from "vitest";
import { pestIds } from "../pests/pests";
import { genera, genusNamed } from "./genera";
import { proneTo, sensitivitiesOf } from "./care";
import { growthFormIds, growthForms, newestGrowth, spotsOf } from "./growthForms";
import { spotIds, spots } from "./spots";

describe("the spot table", () => {
  it("gives every pest somewhere to be on every growth form, but those of the mix on a plant without any", () => {
    for (const form of growthFormIds) {
      for (const pest of pestIds) {
        if (form === "airPlant" && (pest === "rootMealybug" || pest === "fungusGnat")) continue;
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

  it("newest growth is the newest leaf, or the crown of what opens none, and always a spot of its form", () => {
    expect(newestGrowth("climbingAroid")).toBe("newLeaf");
    expect(newestGrowth("columnarCactus")).toBe("crown");
    for (const form of growthFormIds) expect(spotsOf(form)).toContain(newestGrowth(form));
  });

  it("a leafless stem has no underside, an orchid with pseudobulbs has sheaths, and every plant but an air plant a pot", () => {
    expect(spotsOf("stemSucculent")).not.toContain("underside");
    expect(spotsOf("pseudobulbOrchid")).toContain("sheath");
    for (const form of growthFormIds.filter((id) => id !== "airPlant"))
      expect(spotsOf(form)).toEqual(expect.arrayContaining(["neck", "mixTop", "roots", "pot"]));
  });
});

describe("the genera", () => {
  it("names each once, in order, at least a hundred and sixty of them", () => {
    const names = genera.map((genus) => genus.name);
    expect(names).toEqual([...new Set(names)].toSorted());
    expect(names.length).toBeGreaterThanOrEqual(160);
    for (const { english } of genera) for (const name of english) expect(name).toBe(name.toLowerCase().trim());
  });

  it("nothing is said twice: what belongs to every plant of a form stands with the form", () => {
    for (const { name, form, sensitivities, prone } of genera) {
      expect(new Set(sensitivities).size, name).toBe(sensitivities.length);
      expect(new Set(prone).size, name).toBe(prone.length);
      const ofForm = sensitivitiesOf({ genus: name, growthForm: form }).filter(({ from }) => from === "form");
      for (const { id } of ofForm) expect(sensitivities, name).not.toContain(id);
    }
  });

  it.each([
    ["hoya", "trailingVine"],
    ["  MONSTERA ", "climbingAroid"],
    ["Phalaenopsis", "fanOrchid"],
    ["Mammillaria", "tubercledCactus"],
    ["Lithops", "stemSucculent"],
    // Put right: air plants have no pot, dracaenas and yuccas a crown and sheaths, jade plants wood, jewel orchids no bulbs.
    ["Tillandsia", "airPlant"],
    ["Dracaena", "cane"],
    ["Yucca", "cane"],
    ["Crassula", "caudexSucculent"],
    ["Ludisia", "softHerb"],
    ["Anthurium", "clumpingFoliage"],
  ])("finds %s as %s", (name, form) => {
    expect(genusNamed(name)?.form).toBe(form);
  });

  it("knows that it does not know", () => {
    expect(genusNamed("Inventedia")).toBeNull();
    expect(genusNamed("")).toBeNull();
  });

  const careOf = (genus: string) => sensitivitiesOf({ genus, growthForm: genusNamed(genus)!.form }).map(({ id }) => id);

  // Common practice, no source: ferns, jewel orchids, prayer plants and hairy leaves do not bear oil.
  it.each(["Adiantum", "Nephrolepis", "Ludisia", "Maranta", "Calathea", "Saintpaulia", "Aechmea"])(
    "%s does not bear oil",
    (name) => {
      expect(careOf(name)).toContain("oilShy");
    },
  );

  // Common practice, no source.
  it.each([
    ["Mammillaria", "milkySap"],
    ["Hoya", "milkySap"],
    ["Phoenix", "spiny"],
    ["Crassula", "soapShy"],
    ["Euphorbia", "soapShy"],
    ["Oncidium", "thinLeaf"],
    ["Phalaenopsis", "crownRot"],
  ] as const)("%s: %s", (name, care) => {
    expect(careOf(name)).toContain(care);
  });

  it.each([
    ["Phalaenopsis", "thinLeaf"],
    ["Astrophytum", "waxBloom"],
  ] as const)("%s: not %s", (name, care) => {
    expect(careOf(name)).not.toContain(care);
  });

  // Common practice, no source: which kinds have which pest more often than others.
  it.each([
    ["Hoya", "mealybug"],
    ["Huernia", "mealybug"],
    ["Alocasia", "spiderMite"],
    ["Monstera", "thrips"],
    ["Cattleya", "armouredScale"],
    ["Hibiscus", "aphid"],
  ] as const)("%s is prone to %s", (name, pest) => {
    expect(proneTo(name)).toContain(pest);
  });

  // Common practice, no source: herbs, peppers, tomatoes, lettuce, citrus, figs, passion fruit, bay and strawberries are eaten.
  it("what is eaten is so by its kind, without anybody saying so; of figs only the one with fruit", () => {
    const eaten = (genus: string, name = "") =>
      sensitivitiesOf({ genus, growthForm: genusNamed(genus)!.form, name }).some(({ id }) => id === "eaten");
    for (const genus of [
      "Ocimum",
      "Mentha",
      "Capsicum",
      "Solanum",
      "Lactuca",
      "Citrus",
      "Passiflora",
      "Laurus",
      "Fragaria",
    ])
      expect(eaten(genus)).toBe(true);
    expect(eaten("Ficus", "Ficus carica, from the market")).toBe(true);
    expect(eaten("Ficus", "Rubber plant")).toBe(false);
    expect(eaten("Monstera")).toBe(false);
    const taken = { genus: "Citrus", growthForm: "uprightShrub", careWithout: ["eaten"] } as const;
    expect(sensitivitiesOf(taken).map(({ id }) => id)).not.toContain("eaten");
  });

  it("a keeper adds and takes away, and each says where it comes from", () => {
    const own = { genus: "Adiantum", growthForm: "fern", careAdded: ["spiny"], careWithout: ["oilShy"] } as const;
    expect(sensitivitiesOf(own)).toEqual([
      { id: "thinLeaf", from: "form" },
      { id: "spiny", from: "keeper" },
    ]);
    expect(sensitivitiesOf({ genus: "", growthForm: "palm" })).toContainEqual({ id: "oilShy", from: "unknown" });
    expect(sensitivitiesOf({ genus: "Chamaedorea", growthForm: "palm" })).toContainEqual({
      id: "oilShy",
      from: "genus",
    });
  });
});
