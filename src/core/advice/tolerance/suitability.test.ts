import { describe, expect, it } from "vitest";
import { day } from "../../shared/days";
import { mixIds, mixes, type MixId } from "../../knowledge/mixes/mixes";
import { genera, genusNamed } from "../../knowledge/plants/genera";
import { growthFormIds } from "../../knowledge/plants/growthForms";
import { remedyIds, techniqueIds, type TechniqueId } from "../../knowledge/remedies/remedies";
import { treatedPlantOf, type TreatedPlant, type DescribedPlant, type Reacted } from "./treatedPlant";
import { mixFor, monthlyWashes, refusals } from "./mixFor";
import { objections } from "./suitability";

const WINTER = day("2026-12-01");
const SUMMER = day("2026-07-01");

function bearer(
  genus: string,
  over: Partial<DescribedPlant> = {},
  reactions: readonly Reacted[] = [],
  on = SUMMER,
): TreatedPlant {
  const growthForm = genusNamed(genus)?.form ?? "uprightShrub";
  return treatedPlantOf(
    { genus, growthForm, potCm: 12, inBud: false, inFlower: false, ...over },
    reactions,
    on,
    "north",
  );
}
const against = (plant: TreatedPlant, mix: MixId, technique: TechniqueId) =>
  objections(plant, mix, technique).map((o) => `${o.level} ${o.code}`);

describe("what speaks against a mix", () => {
  // Common practice, no source; oil labels, from memory.
  it.each<[string, TreatedPlant, MixId, TechniqueId, string]>([
    ["ferns do not bear oil", bearer("Adiantum"), "oil1", "spray", "refuse oilOnShy"],
    [
      "a fern of no known genus does not either",
      bearer("", { growthForm: "fern" }),
      "oil1",
      "spray",
      "refuse oilOnShy",
    ],
    ["neem is an oil", bearer("Adiantum"), "neemWeak", "spray", "refuse oilOnShy"],
    ["no fern bears neat alcohol", bearer("Platycerium"), "alcoholFull", "dab", "refuse neatOnThin"],
    ["jewel orchids do not bear oil", bearer("Ludisia"), "oil1", "spray", "refuse oilOnShy"],
    [
      "velvet leaves bear weak neem where it was tested",
      bearer("Episcia", { careWithout: ["oilShy"] }),
      "neemWeak",
      "spray",
      "warn velvetTest",
    ],
    ["oil ruins a wax bloom", bearer("Echeveria"), "oil1", "spray", "refuse oilOnBloom"],
    ["pansy orchids bear 1 % at most", bearer("Miltonia"), "oil2", "spray", "refuse oilTooStrong"],
    ["flowers fade in oil", bearer("Citrus", { inFlower: true }), "oil1", "spray", "refuse smotherFlowers"],
    ["flowers fade in neem", bearer("Citrus", { inFlower: true }), "neemUsual", "spray", "refuse smotherFlowers"],
    ["buds with care", bearer("Citrus", { inBud: true }), "oil1", "spray", "warn smotherBuds"],
    [
      "alcohol fades flowers too, later",
      bearer("Citrus", { inFlower: true }),
      "alcoholHalf",
      "dab",
      "warn alcoholFlowers",
    ],
    ["jade plants are soap-shy", bearer("Crassula"), "soapMild", "spray", "refuse soapOnShy"],
    ["sundews do not bear alcohol", bearer("Drosera"), "alcoholQuarter", "dab", "refuse alcoholOnShy"],
    ["alcohol strips a wax bloom", bearer("Echeveria"), "alcoholHalf", "dab", "warn stripsBloom"],
    ["a resting cactus stays dry", bearer("Mammillaria", {}, [], WINTER), "soapMild", "spray", "warn wetInRest"],
    ["a resting cactus is not dunked", bearer("Mammillaria", {}, [], WINTER), "soapMild", "dunk", "refuse dunkInRest"],
    ["moth orchids rot in the crown", bearer("Phalaenopsis"), "soapMild", "dunk", "refuse dunkWillNotDry"],
    ["a wide pot is heavy", bearer("Monstera", { potCm: 20 }), "soapMild", "dunk", "warn bigToDunk"],
    ["neat alcohol only where the kind bears it", bearer("Monstera"), "alcoholFull", "dab", "warn neatNotKnown"],
    ["milky sap of hoyas", bearer("Hoya"), "soapMild", "spray", "warn milkySap"],
    ["an unknown genus says so", bearer("Inventedia"), "soapMild", "spray", "warn unknownKind"],
  ])("%s", (_why, plant, mix, technique, expected) => {
    expect(against(plant, mix, technique)).toContain(expected);
  });

  it.each([
    ["2 % oil on a moth orchid", against(bearer("Phalaenopsis"), "oil2", "wipe")],
    ["neat alcohol on a tough succulent", against(bearer("Gasteria"), "alcoholFull", "dab")],
    ["a cactus in growth that is dabbed", against(bearer("Astrophytum"), "alcoholFull", "dab")],
    ["flecks of a bishop's cap, which are hairs and no wax", against(bearer("Astrophytum"), "oil2", "spray")],
  ])("nothing against %s", (_why, objected) => {
    expect(objected).toEqual([]);
  });

  it("of a can it is what speaks against any of its parts, and what was borne badly of one of them", () => {
    expect(against(bearer("Adiantum"), "soapNeem", "spray")).toContain("refuse oilOnShy");
    expect(against(bearer("Hoya", { inFlower: true }), "soapAlcohol", "spray")).toContain("warn alcoholFlowers");
    const scorched = bearer("Hoya", {}, [{ mix: "soapAlcohol", technique: "spray", what: "scorch" }]);
    expect(against(scorched, "alcoholQuarter", "spray")).toContain("refuse reactedBefore");
    expect(against(scorched, "soapMild", "spray")).toContain("refuse reactedBefore");
    expect(against(scorched, "neemUsual", "spray")).not.toContain("refuse reactedBefore");
  });

  it("alcohol is kept from roots it would be soaked into, and a cactus that rests dry is misted before", () => {
    expect(against(bearer("Hoya"), "alcoholHalf", "rootSoak")).toContain("refuse alcoholOnRoots");
    const resting = bearer("Mammillaria", {}, [], WINTER);
    expect(against(resting, "alcoholFull", "dab")).toContain("warn mistFirst");
    expect(against(bearer("Astrophytum", {}, [], WINTER), "alcoholFull", "dab")).toEqual(["warn mistFirst"]);
    expect(against(resting, "soapMild", "dab")).not.toContain("warn mistFirst");
    expect(against(bearer("Mammillaria"), "alcoholFull", "dab")).not.toContain("warn mistFirst");
  });

  it("puts refusals first, whatever the plant", () => {
    for (const genus of genera)
      for (const mix of mixIds)
        for (const technique of techniqueIds) {
          const levels = objections(bearer(genus.name, { inFlower: true }), mix, technique).map((o) => o.level);
          expect(levels).toEqual(levels.toSorted());
        }
  });
});

describe("the mix proposed", () => {
  // Common practice, no source: neat 70 % on cacti and tough succulents, 1 : 1 on tough leaves, 1 : 3 on soft and thin ones.
  it.each([
    ["Mammillaria", "alcoholFull"],
    ["Monstera", "alcoholHalf"],
    ["Maranta", "alcoholQuarter"],
    ["Inventedia", "alcoholQuarter"],
  ])("alcohol on %s: %s", (genus, mix) => {
    expect(mixFor("alcohol", bearer(genus))).toBe(mix);
  });

  it("every fern, known or unknown, is protected from oil and neat alcohol", () => {
    const ferns = [...genera.filter((genus) => genus.form === "fern").map(({ name }) => name), "Inventedia", ""];
    for (const genus of ferns) {
      const fern = bearer(genus, { growthForm: "fern" });
      expect(refusals("oil", "spray", fern)).not.toEqual([]);
      expect(refusals("neem", "spray", fern)).not.toEqual([]);
      expect(mixFor("alcohol", fern)).toBe("alcoholQuarter");
    }
  });

  it("is one that is not refused, or none of its remedy is milder", () => {
    for (const form of growthFormIds)
      for (const remedy of remedyIds) {
        const plant = bearer("", { growthForm: form });
        const proposed = mixFor(remedy, plant);
        if (objections(plant, proposed, "dab").every((o) => o.level === "warn")) continue;
        for (const mix of mixIds.filter((id) => mixes[id].remedy === remedy))
          expect(objections(plant, mix, "dab")[0]!.level, `${mix} on ${form}`).toBe("refuse");
      }
  });

  it("what it has borne badly makes it milder, and then refuses it", () => {
    const scorched = (mix: MixId): Reacted => ({ mix, technique: "spray", what: "scorch" });
    expect(mixFor("alcohol", bearer("Monstera", {}, [scorched("alcoholHalf")]))).toBe("alcoholQuarter");
    const twice = bearer("Monstera", {}, [scorched("alcoholHalf"), scorched("alcoholQuarter")]);
    expect(refusals("alcohol", "dab", twice).map(({ code }) => code)).toEqual(["reactedBefore"]);
    // Another remedy has nothing to do with it.
    expect(mixFor("oil", twice)).toBe("oil2");
    expect(refusals("soap", "spray", twice)).toEqual([]);
  });

  it("flowers that were lost count while there are any; rot counts against the technique", () => {
    const lost: Reacted = { mix: "soapMild", technique: "spray", what: "lostFlowers" };
    expect(refusals("soap", "spray", bearer("Citrus", {}, [lost]))).toEqual([]);
    expect(refusals("soap", "spray", bearer("Citrus", { inFlower: true }, [lost]))).not.toEqual([]);
    const rotted: Reacted = { mix: "soapMild", technique: "dunk", what: "rot" };
    expect(refusals("soap", "dunk", bearer("Monstera", {}, [rotted]))).not.toEqual([]);
    expect(refusals("soap", "wipe", bearer("Monstera", {}, [rotted]))).toEqual([]);
    expect(refusals("soap", "spray", bearer("Monstera", {}, [rotted]))).toEqual([]);
    // What rots under a spray is not put under water.
    const sprayed = bearer("Monstera", {}, [{ ...rotted, technique: "spray" }]);
    expect(refusals("soap", "dunk", sprayed)).not.toEqual([]);
    expect(refusals("oil", "hastySpray", sprayed)).not.toEqual([]);
    expect(refusals("soap", "wipe", sprayed)).toEqual([]);
  });

  it("a touchy or unknown plant bears less in a month", () => {
    expect(monthlyWashes(bearer("Monstera"))).toBeGreaterThan(monthlyWashes(bearer("Maranta")));
    expect(monthlyWashes(bearer("Inventedia"))).toBe(monthlyWashes(bearer("Maranta")));
  });
});

describe("the season", () => {
  it("what rests in winter rests in the other half of the year on the other half of the earth", () => {
    const plant = { genus: "Lithops", growthForm: "stemSucculent", potCm: 8, inBud: false, inFlower: false } as const;
    expect(treatedPlantOf(plant, [], WINTER, "north").resting).toBe(true);
    expect(treatedPlantOf(plant, [], WINTER, "south").resting).toBe(false);
    expect(treatedPlantOf(plant, [], SUMMER, "south").resting).toBe(true);
  });
});
