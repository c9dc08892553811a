import { describe, expect, it } from "vitest";
import { commonNames, usuallyMeant } from "./commonNames";
import { genera, genusNamed } from "./genera";
import { commonNamesKnown, genusIn } from "./genusIn";

// Common practice, no source: what these are called.
describe("the genus in a name as people write it", () => {
  it("knows more than six hundred common names, each of a genus in the table", () => {
    expect(commonNamesKnown).toBeGreaterThan(600);
    for (const genus of [...Object.keys(commonNames), ...Object.values(usuallyMeant)])
      expect(genusNamed(genus), genus).not.toBeNull();
  });

  it("says which is usually meant only of names that several genera bear", () => {
    for (const [name, genus] of Object.entries(usuallyMeant)) {
      const bearers = genera.filter(
        (one) => one.english.includes(name) || commonNames[one.name]?.split(", ").includes(name),
      );
      expect([name, bearers.length > 1, bearers.some((one) => one.name === genus)]).toEqual([name, true, true]);
    }
  });

  it.each([
    ["pothos", "Epipremnum"],
    ["Moth orchid", "Phalaenopsis"],
    ["jade plant", "Crassula"],
    ["Snake Plant", "Sansevieria"],
    ["Boston fern", "Nephrolepis"],
    ["Christmas cactus", "Schlumbergera"],
    ["Bird of paradise", "Strelitzia"],
    ["Basil", "Ocimum"],
    ["Tomato seedling", "Solanum"],
    ["Cattleya hybrid", "Cattleya"],
    ["ZZ plant", "Zamioculcas"],
    ["Mother-in-law’s tongue", "Sansevieria"],
    ["spider plants", "Chlorophytum"],
    ["Variegated string of hearts", "Ceropegia"],
    ["2 small peace lilies", "Spathiphyllum"],
    ["my big Monstera deliciosa 'Albo'", "Monstera"],
    ["Ivy geranium", "Pelargonium"],
    ["lemon button fern", "Nephrolepis"],
    ["Lemon lime dracaena", "Dracaena"],
    ["African milk tree", "Euphorbia"],
    ["money tree", "Pachira"],
    ["Venus’ flytrap", "Dionaea"],
    ["Pincushion cactus (grafted)", "Mammillaria"],
    ["lemon tree", "Citrus"],
    ["Peruvian apple cactus", "Cereus"],
    ["burro's tail", "Sedum"],
  ])("%s is %s", (name, genus) => {
    expect(genusIn(name)?.name).toBe(genus);
  });

  it.each([
    "the tall one",
    "",
    "zebra plant",
    "orange chrysanthemum",
    "Inventedia",
    "fern",
    "cactus",
    "bromeliad",
    "umbrella plant",
    "12",
  ])("does not guess at %j", (name) => {
    expect(genusIn(name)).toBeNull();
  });
});
