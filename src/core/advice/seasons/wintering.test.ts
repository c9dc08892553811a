import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { addDays, day, daysBetween, type Day } from "../../shared/days";
import { growthFormIds } from "../../knowledge/plants/growthForms";
import { sensitivities } from "../../knowledge/plants/sensitivities";
import { objections } from "../tolerance/suitability";
import type { TreatedPlant } from "../tolerance/treatedPlant";
import {
  leftWhenReady,
  makesReady,
  moveBefore,
  nextInside,
  winterWork,
  winterPut,
  winterBegin,
  winterStepIds,
  winterSteps,
  type WinterPlant,
} from "./wintering";

const came = day("2026-10-10");
const on = (n: number) => addDays(came, n);

const shy = (bearer: TreatedPlant): TreatedPlant => ({ ...bearer, sensitivities: ["oilShy", "soapShy"] });

const plant: fc.Arbitrary<WinterPlant> = fc
  .record({
    form: fc.constantFrom(...growthFormIds),
    potCm: fc.integer({ min: 5, max: 60 }),
    sensitivities: fc.subarray([...sensitivities], { maxLength: 4 }),
    inFlower: fc.boolean(),
    inCase: fc.boolean(),
    mites: fc.boolean(),
  })
  .map(({ inCase, mites, ...bearer }) => ({
    plantId: "p",
    bearer: { ...bearer, known: true, inBud: false, resting: false, reactions: [] } satisfies TreatedPlant,
    prone: mites ? ["spiderMite" as const] : [],
    inCase,
  }));

describe("the way in for winter, whatever the plant", () => {
  it("its steps keep their order, and none stands twice; what is worked in place is not carried under a hose", () => {
    fc.assert(
      fc.property(plant, (one) => {
        const steps = winterSteps(one);
        expect(steps).toEqual(winterStepIds.filter((step) => steps.includes(step)));
        expect(steps[0]).toBe("inspect");
        if (steps.includes("sponge"))
          expect(steps.some((step) => ["rinse", "soak", "spray"].includes(step))).toBe(false);
        if (one.inCase || one.bearer.sensitivities.includes("sickly")) expect(steps).not.toContain("soak");
      }),
    );
  });

  it("it is ready once what its kind bears is on it, and brings in no more than what is rinsed alone", () => {
    fc.assert(
      fc.property(plant, (one) => {
        const commands = winterWork(one).flatMap(({ act }) => (act ? [act] : []));
        // What can neither be sprayed nor stood under a hose is never made ready by what is planned; it is asked for again.
        const carried = winterSteps(one).includes("rinse") || winterPut(winterWork(one)) !== null;
        expect(commands.some((act) => makesReady(act, winterPut(winterWork(one))))).toBe(carried);
        const left = leftWhenReady(one);
        expect(left).toBeGreaterThan(0);
        expect(left).toBeLessThanOrEqual(leftWhenReady({ ...one, bearer: shy(one.bearer) }));
      }),
    );
  });

  it("nothing is ever put on that the plant does not bear", () => {
    fc.assert(
      fc.property(plant, (one) => {
        for (const { act } of winterWork(one))
          if (act?.kind === "contact") {
            const against = objections(one.bearer, act.mix, act.technique);
            expect(against.filter(({ level }) => level === "refuse")).toEqual([]);
          }
      }),
    );
  });

  it("inside the next spray is never before the last, never more than two weeks after it, and ends within twelve weeks", () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -20, max: 84 }), { maxLength: 12 }), (offsets) => {
        const sprayed = offsets.map(on);
        const next = nextInside(came, sprayed);
        const last =
          sprayed
            .filter((one) => one >= came)
            .toSorted()
            .at(-1) ?? came;
        if (next === null) {
          expect(daysBetween(came, last)).toBeGreaterThan(84 - 14);
          return;
        }
        expect(daysBetween(last, next)).toBeLessThanOrEqual(14);
        expect(next > last && daysBetween(came, next) <= 84).toBe(true);
      }),
    );
  });

  it("begins so many weeks before, over the turn of the year too", () => {
    expect(winterBegin(day("2027-01-05"), 4)).toBe("2026-12-08");
    const nights = [{ day: day("2025-12-30"), minC: 4 }];
    // A year on, on the same weekday.
    expect(moveBefore(nights, 5, day("2026-12-01"))).toBe("2026-12-29");
    expect(moveBefore(nights, 5, day("2026-12-30") as Day)).toBeNull();
    // Asked in April it is autumn's first cold night that counts, and not a late frost.
    const year = ["2025-05-02", "2025-10-20", "2025-11-15", "2026-03-01"].map((one) => ({ day: day(one), minC: 3 }));
    expect(moveBefore(year, 5, day("2026-04-20"))).toBe("2026-10-19");
  });
});
