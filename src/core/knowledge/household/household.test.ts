import { workOf } from "../../acts/works";
import { isWork } from "../../advice/planning/doses";
import { productsOf } from "../../acts/acts";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { coursesOn } from "../../advice/plans/coursesOnRecord";
import { comparisonOn, refusedOn } from "../../advice/plans/onPlant";
import { TRIAL_DAY } from "../../advice/plans/trial";
import { approaches, approachOf, dosesOf } from "../../advice/planning/approaches";
import { pestIds } from "../pests/pests";
import type { Sensitivity } from "../plants/sensitivities";
import { remedyIds } from "../remedies/remedies";
import { treatedPlantOf } from "../../advice/tolerance/treatedPlant";
import { homeObjections, householdIds, isKeptOut, type Home } from "./household";
import { productIds, type ProductId } from "./products";

const codes = (product: ProductId, home: Home, sensitivities: readonly Sensitivity[]) =>
  homeObjections(product, home, { sensitivities }).map(({ level, code }) => `${level} ${code}`);
const living = (...household: Home["household"]): Home => ({ household, notAllowed: [] });

describe("who lives with the plants", () => {
  it("keeps out what harms them (poison centres and labels, from memory)", () => {
    expect(codes("pyrethrins", living("cats"), [])).toEqual(["refuse cats"]);
    expect(codes("pyrethrins", living("waterAnimals", "bees"), [])).toEqual(["refuse waterAnimals", "warn bees"]);
    expect(codes("essentialOil", living("birds", "cats"), [])).toEqual(["refuse cats", "refuse birds"]);
    expect(codes("spinosad", living("bees"), [])).toEqual(["warn bees"]);
    expect(codes("throughTheRoots", living("bees"), [])).toEqual(["refuse bees"]);
    expect(codes("neem", living("waterAnimals"), [])).toEqual(["warn waterAnimals"]);
    expect(codes("soap", living(...householdIds), ["eaten"])).toEqual([]);
  });

  it("keeps off what is eaten what is not for food, and out of a home what is not allowed there", () => {
    expect(codes("throughTheRoots", living(), ["eaten"])).toEqual(["refuse eaten"]);
    expect(codes("neem", { household: [], notAllowed: ["neem"] }, [])).toEqual(["refuse notAllowed"]);
  });

  it("no plan is ever proposed with what a home keeps out", () => {
    const home = fc.record({ household: fc.subarray([...householdIds]), notAllowed: fc.subarray([...productIds]) });
    const pest = fc.constantFrom(...pestIds);
    fc.assert(
      fc.property(home, pest, fc.boolean(), (lives, pestId, eaten) => {
        const kind = {
          genus: "Monstera",
          growthForm: "climbingAroid",
          careAdded: eaten ? ["eaten" as const] : [],
        } as const;
        const plant = { ...kind, potCm: 15, inBud: false, inFlower: false };
        const bearer = treatedPlantOf(plant, [], TRIAL_DAY, "north", lives);
        const { mayUse } = comparisonOn(pestId, { bearer, tool: "lamp", washes: [] }, coursesOn([], TRIAL_DAY), 5.5);
        for (const { id } of approaches) {
          const out = dosesOf(approachOf(id)).filter((dose) => {
            const products = isWork(dose) ? productsOf(workOf(dose.work).act(bearer)) : [dose.remedy];
            return products.some((product) => isKeptOut(product, lives, bearer));
          });
          if (out.length === 0) continue;
          expect(mayUse(approachOf(id))).toBe(false);
          expect(refusedOn(approachOf(id), bearer)).not.toEqual([]);
        }
      }),
    );
  });

  it("what roots take up is no help where bees fly, nor on what is eaten", () => {
    const helpsIn = (home: Home, careAdded: readonly "eaten"[] = []) => {
      const kind = { genus: "Monstera", growthForm: "climbingAroid", careAdded } as const;
      const bearer = treatedPlantOf(
        { ...kind, potCm: 15, inBud: false, inFlower: false },
        [],
        TRIAL_DAY,
        "north",
        home,
      );
      const on = { bearer, tool: "lamp", washes: [] } as const;
      return comparisonOn("mealybug", on, coursesOn([], TRIAL_DAY), 5.5).helps!.map(({ id }) => id);
    };
    expect(helpsIn(living())).toContain("systemic");
    expect(helpsIn(living("bees"))).not.toContain("systemic");
    expect(helpsIn(living(), ["eaten"])).not.toContain("systemic");
  });

  it("where cats live nothing with pyrethrins or peppermint is left to choose", () => {
    const left = remedyIds.filter((remedy) => !isKeptOut(remedy, living("cats"), { sensitivities: [] }));
    expect(left).toEqual(["alcohol", "soap", "oil", "neem", "spinosad"]);
  });
});
