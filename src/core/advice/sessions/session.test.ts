import { describe, expect, it } from "vitest";
import { day } from "../../shared/days";
import { genusNamed } from "../../knowledge/plants/genera";
import { mixVolume, volumeFor } from "../../knowledge/mixes/sprayVolume";
import { treatedPlantOf } from "../tolerance/treatedPlant";
import type { Act } from "../../acts/acts";
import { workOf } from "../../acts/works";
import {
  cansOf,
  doneIn,
  goingOn,
  groupTechniques,
  groupWorks,
  isForGroup,
  lineOf,
  lookLine,
  sessionLine,
  sessionRemedies,
  timersAfterPress,
  type SessionPlant,
} from "./session";

const plant = (genus: string, over: Partial<SessionPlant> = {}): SessionPlant => ({
  ...{ plantId: genus, code: genus, cases: [] },
  bearer: treatedPlantOf(
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
  it("leaves dabs, and what is unpotted, to each plant", () => {
    expect(isForGroup({ technique: "dab" })).toBe(false);
    expect(isForGroup({ technique: "spray" })).toBe(true);
    expect(isForGroup({ work: "unpot" })).toBe(false);
    expect(isForGroup({ work: "drenchBti" })).toBe(true);
  });

  it("of oil on thin and thick orchids is two cans, each as large as its plants need", () => {
    const plants = [plant("Oncidium"), plant("Phalaenopsis"), plant("Cattleya")];
    const lines = plants.map((one) => sessionLine(one, oil));
    expect(lines.map(({ act }) => act?.kind === "contact" && act.mix)).toEqual(["oil1", "oil2", "oil2"]);
    const one = volumeFor("spray", 12);
    expect(cansOf(lines, potCm)).toEqual([
      { mix: "oil2", plants: 2, volumeMl: 2 * one, buckets: null },
      { mix: "oil1", plants: 1, volumeMl: one, buckets: null },
    ]);
  });

  it("keeps what was pressed in it, though nothing asks for it any more", () => {
    const [hoya, pilea, ficus] = ["Hoya", "Pilea", "Ficus"].map((genus) => sessionLine(plant(genus), oil));
    const step = (id: string, ...lines: (typeof hoya)[]) => ({ id, lines: lines.map((line) => line!) });
    const isPressed = (id: string, plantId: string) => id === "spray" && plantId === "Hoya";
    const before = [step("spray", hoya, pilea), step("rinse", hoya)];
    expect(goingOn(before, [], isPressed)).toEqual([step("spray", hoya)]);
    // Another keeper did the one of them; a third fell due meanwhile.
    expect(goingOn(before, [step("spray", ficus)], isPressed)).toEqual([step("spray", hoya, ficus)]);
    expect(goingOn(before, [step("rinse", pilea), step("spray", pilea, hoya)], () => false)).toEqual([
      step("spray", hoya, pilea),
      step("rinse", pilea),
    ]);
    expect(goingOn([], before, () => false)).toEqual(before);
  });

  it("of dunks is one bath, and not one for each", () => {
    const soap = { kind: "remedy", remedy: "soap", technique: "dunk", mix: "soapMild" } as const;
    const lines = ["Hoya", "Pilea"].map((genus) => sessionLine(plant(genus), soap));
    const dunk = { technique: "dunk", potCm: 12 } as const;
    expect(cansOf(lines, potCm)).toEqual([
      { mix: "soapMild", plants: 2, volumeMl: mixVolume([dunk, dunk]), buckets: null },
    ]);
  });

  // Common practice, no source: pots are soaked side by side in buckets, the soap measured for each.
  it("of soaks is so many buckets, and not one for each pot", () => {
    const soak = { kind: "drench", remedy: "soap", volumeMl: 260 } as const;
    const some = Array.from({ length: 7 }, (_, i) => lineOf(plant("Hoya", { plantId: `p${i}` }), soak));
    // Seven pots of 12 cm in buckets of 40.
    expect(cansOf(some, potCm)).toEqual([{ mix: "soapMild", plants: 7, volumeMl: 15_000, buckets: 3 }]);
  });

  it("knows what of its steps is on record: rinsed once is the first rinse, and each plant stands for itself", () => {
    const hoya = plant("Hoya");
    const rinse = sessionLine(hoya, { kind: "work", work: "shower" });
    const look = lookLine(hoya, "lamp");
    const soap = sessionLine(hoya, { ...oil, remedy: "soap" });
    const steps = [look, rinse, soap, rinse].map((line, i) => ({ id: String(i), lines: [line] }));
    const done = (acts: readonly Act[], looked = false) =>
      doneIn(steps, new Map([["Hoya", { acts, looked }]])).map((some) => some.has("Hoya"));
    expect(done([])).toEqual([false, false, false, false]);
    expect(done([rinse.act!], true)).toEqual([true, true, false, false]);
    // In whatever order it was written down, and however strong it was.
    expect(
      done([{ ...(soap.act as Extract<Act, { kind: "contact" }>), mix: "soapStrong" }, rinse.act!, rinse.act!]),
    ).toEqual([...[false, true, true, true]]);
    expect(
      doneIn(steps, new Map([["Pilea", { acts: [rinse.act!], looked: true }]])).every(({ size }) => size === 0),
    ).toBe(true);
  });

  it("leaves out what does not tolerate it, and says why", () => {
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

describe("what is waited for after a press", () => {
  const spray: Act = { kind: "contact", mix: "soapMild", technique: "spray", volumeMl: 50, spots: ["axil"] };
  const rinse = workOf("shower").act(plant("Hoya").bearer);
  const told = (...done: Parameters<typeof timersAfterPress>[0]) =>
    timersAfterPress(done).map(({ what, optional }) => [what, optional]);

  it("the fan once for all that was sprayed; a rinse is offered after a spray, and not where it was pressed with it", () => {
    expect(told({ plantId: "a", act: spray }, { plantId: "b", act: spray })).toEqual([
      ["fan", false],
      ["rinse", true],
    ]);
    expect(told({ plantId: "a", act: spray }, { plantId: "a", act: rinse })).toEqual([["fan", false]]);
    // One of them was not rinsed.
    expect(told({ plantId: "a", act: spray }, { plantId: "a", act: rinse }, { plantId: "b", act: spray })).toEqual([
      ["fan", false],
      ["rinse", true],
    ]);
    expect(told({ plantId: "a", act: null })).toEqual([]);
  });
});
