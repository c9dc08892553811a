import { describe, expect, it } from "vitest";
import { caseFile } from "../../../record/format/schema";
import type { PestId } from "../../../knowledge/pests/pests";
import { treatedPlantOf, type DescribedPlant } from "../../tolerance/treatedPlant";
import { addDays } from "../../../shared/days";
import { detailFor, type PlanQuestion } from "../ask";
import { coursesOn } from "../coursesOnRecord";
import { TRIAL_DAY, trialFile } from "../trial";

function prepared(
  plant: Pick<DescribedPlant, "genus" | "growthForm">,
  pest: PestId = "mealybug",
  day = TRIAL_DAY,
  found = 6,
) {
  const bearer = treatedPlantOf({ ...plant, potCm: 12, inBud: false, inFlower: false }, [], day, "north");
  const question: PlanQuestion = {
    ...{ first: TRIAL_DAY, workDays: [1, 2, 3, 4, 5, 6, 7], target: 0.9, courses: coursesOn([], TRIAL_DAY) },
    on: { bearer, tool: "lamp", washes: [] },
  };
  const file = caseFile.parse(trialFile({ pest, form: plant.growthForm, meanC: 22, found }));
  const soap = { remedy: "soap", technique: "spray" } as const;
  const dates = [0, 7, 14].map((days) => addDays(TRIAL_DAY, days));
  return detailFor(file, question, { dates, doses: dates.map(() => soap) }).preparation!;
}

describe("what hands do before any bottle is opened", () => {
  const hoya = prepared({ genus: "Hoya", growthForm: "trailingVine" });

  it("what is seen comes off first, litter before wiping, rinsing last (common practice, no source)", () => {
    expect(hoya.steps.map(({ id }) => id)).toEqual(["pickOff", "litter", "wipe", "shower"]);
    expect(hoya.left).toEqual([
      { id: "prune", why: "fewAnimals" },
      { id: "dustOff", why: "wipedAnyhow" },
    ]);
  });

  it("each step moves the forecast up, never down, and costs its minutes", () => {
    const chances = [hoya.without, ...hoya.steps.map(({ pClean }) => pClean)];
    for (const [i, p] of chances.entries()) if (i > 0) expect(p).toBeGreaterThanOrEqual(chances[i - 1]! - 1e-9);
    expect(chances.at(-1)).toBeGreaterThan(hoya.without);
    expect(hoya.steps.every(({ minutes }) => minutes > 0)).toBe(true);
  });

  it("of a heavily infested plant the worst is cut, a third at most; velvet leaves are brushed, not wiped (common practice, no source)", () => {
    const heavy = prepared({ genus: "Hoya", growthForm: "trailingVine" }, "mealybug", TRIAL_DAY, 60);
    expect(heavy.steps.map(({ id }) => id)).toEqual(["pickOff", "prune", "litter", "wipe", "shower"]);
    const velvet = prepared({ genus: "Episcia", growthForm: "softHerb" }, "spiderMite");
    expect(velvet.steps.map(({ id }) => id)).toContain("dustOff");
    expect(velvet.left).toContainEqual({ id: "wipe", why: "velvet" });
    const palm = prepared({ genus: "Howea", growthForm: "palm" }, "spiderMite", TRIAL_DAY, 60);
    expect(palm.left).toContainEqual({ id: "prune", why: "onePoint" });
  });

  it("leaves out what the plant does not bear, with the reason", () => {
    const cactus = prepared({ genus: "Mammillaria", growthForm: "tubercledCactus" });
    expect(cactus.left).toEqual(
      expect.arrayContaining([
        { id: "wipe", why: "spines" },
        { id: "shower", why: "rests" },
      ]),
    );
    expect(cactus.steps.map(({ id }) => id)).toEqual(["pickOff", "litter"]);
    const lemon = prepared({ genus: "Citrus", growthForm: "uprightShrub" });
    expect(lemon.steps.map(({ id }) => id)).toContain("wipe");
    const rosette = prepared({ genus: "Echeveria", growthForm: "rosetteSucculent" });
    expect(rosette.left).toContainEqual({ id: "wipe", why: "bloom" });
  });
});
