import { describe, expect, it } from "vitest";
import { day } from "../climate/days";
import { genusNamed } from "../plants/genera";
import { sittingVolume, volumeFor } from "../mixing/sprayVolume";
import { bearerOf } from "../suitability/bearer";
import { cansOf, groupTechniques, groupWorks, sessionLine, sessionRemedies, type SessionPlant } from "./session";

const plant = (genus: string, over: Partial<SessionPlant> = {}): SessionPlant => ({
  ...{ plantId: genus, code: genus, cases: [] },
  bearer: bearerOf(
    { genus, growthForm: genusNamed(genus)!.form, potCm: 12, inBud: false, inFlower: false },
    [],
    day("2026-07-01"),
    "north",
  ),
  ...over,
});
const potCm = () => 12;
const oil = { kind: "remedy", remedy: "oil", technique: "spray", mix: null } as const;

describe("a session", () => {
  // Common practice, no source: thin leaves 1 %, thick leaves 2 %: two cans, one round.
  it("of oil on thin and thick orchids is two cans, each as large as its plants need", () => {
    const plants = [plant("Oncidium"), plant("Phalaenopsis"), plant("Cattleya")];
    const lines = plants.map((one) => sessionLine(one, oil));
    expect(lines.map(({ act }) => act.kind === "contact" && act.mix)).toEqual(["oil1", "oil2", "oil2"]);
    const one = volumeFor("spray", 12);
    expect(cansOf(lines, potCm)).toEqual([
      { mix: "oil2", plants: 2, volumeMl: 2 * one },
      { mix: "oil1", plants: 1, volumeMl: one },
    ]);
  });

  it("of dunks is one bath, and not one for each", () => {
    const soap = { kind: "remedy", remedy: "soap", technique: "dunk", mix: "soapMild" } as const;
    const lines = ["Hoya", "Pilea"].map((genus) => sessionLine(plant(genus), soap));
    const dunk = { technique: "dunk", potCm: 12 } as const;
    expect(cansOf(lines, potCm)).toEqual([{ mix: "soapMild", plants: 2, volumeMl: sittingVolume([dunk, dunk]) }]);
  });

  it("leaves out what does not bear it, and says why", () => {
    const { refused, against } = sessionLine(plant("Adiantum"), oil);
    expect(refused).toBe(true);
    expect(against.map(({ code }) => code)).toContain("oilOnShy");
  });

  it("is filed under the case that it is a treatment of, and under no other", () => {
    const cases = [
      { caseId: "gnats", pest: "fungusGnat" as const, due: null },
      { caseId: "mites", pest: "spiderMite" as const, due: null },
    ];
    expect(sessionLine(plant("Hoya", { cases }), oil).caseId).toBe("mites");
    expect(sessionLine(plant("Hoya", { cases: cases.slice(0, 1) }), oil).caseId).toBeNull();
  });

  it("carries out the step that is due, if it is of the same remedy, however it is put on", () => {
    const due = (remedy: "oil" | "soap") => ({ stepId: "s", dose: { remedy, technique: "dunk" as const } });
    const cases = (remedy: "oil" | "soap") => [{ caseId: "mites", pest: "spiderMite" as const, due: due(remedy) }];
    expect(sessionLine(plant("Hoya", { cases: cases("oil") }), oil)).toMatchObject({ caseId: "mites", stepId: "s" });
    expect(sessionLine(plant("Hoya", { cases: cases("soap") }), oil)).toMatchObject({ caseId: "mites", stepId: null });
  });

  it("every remedy has a technique for a group, and every work is an act on any plant", () => {
    for (const remedy of sessionRemedies) {
      expect(groupTechniques(remedy).length).toBeGreaterThan(0);
      expect(groupTechniques(remedy)).not.toContain("dab");
    }
    for (const work of groupWorks) expect(sessionLine(plant("Hoya"), { kind: "work", work }).plantId).toBe("Hoya");
  });
});
