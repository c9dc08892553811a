import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { coursesOn } from "../plans/coursesOnRecord";
import { day } from "../../shared/days";
import { activeIds, groupOf } from "../../knowledge/household/products";
import { pests } from "../../knowledge/pests/pests";
import { doesTo, killOf, remedyIds, type RemedyId } from "../../knowledge/remedies/remedies";
import { approaches, approachOf } from "../planning/approaches";
import { type TreatmentCourse } from "../planning/treatmentCourse";
import { labelObjections } from "./label";
import { MOST_RUNNING, runningOf, runsOn, tooManyRunning } from "./resistance";

const none = coursesOn([], day("2026-11-24"));
const after = (over: Partial<Record<RemedyId, TreatmentCourse>>) => ({ ...none, ...over });

describe("groups by which resistance is reckoned", () => {
  it("are those of the published classification (IRAC, from memory): spinosyns 5, pyrethrins 3A; soap and oil have none", () => {
    const groups = Object.fromEntries(activeIds.map((id) => [id, groupOf(id)]));
    expect(groups).toMatchObject({ spinosad: "5", pyrethrins: "3A", soap: null, oil: null, alcohol: null });
    expect(groups).toMatchObject({ permethrin: "3A", acetamiprid: "4A", imidacloprid: "4A", dinotefuran: "4A" });
    expect(groups).toMatchObject({ abamectin: "6", hexythiazox: "10A", bifenazate: "20D", bti: "11A" });
  });

  it("what is sprayed and what roots take up of one group count together", () => {
    expect(tooManyRunning(["acetamiprid", "systemic", "acetamiprid", "systemic"], none)).toBe("systemic");
    expect(tooManyRunning(["pyrethrins", "permethrin", "permethrin", "pyrethrins"], none)).toBe("pyrethrins");
    expect(tooManyRunning(["acetamiprid", "pyrethrins", "systemic"], none)).toBeNull();
    expect(tooManyRunning(["acetamiprid", "unpot", "acetamiprid"], none)).toBeNull();
  });

  it("not more than three times running; another between begins anew", () => {
    expect(tooManyRunning(["spinosad", "spinosad", "spinosad"], none)).toBeNull();
    expect(tooManyRunning(["spinosad", "spinosad", "spinosad", "spinosad"], none)).toBe("spinosad");
    expect(tooManyRunning(["spinosad", "spinosad", "spinosad", "soap", "spinosad"], none)).toBeNull();
    expect(tooManyRunning(["soap", "soap", "soap", "soap"], none)).toBeNull();
  });

  it("what is on record counts, unless something of another kind came after it", () => {
    const often = after({ spinosad: { ...none.spinosad, times: 3, last: day("2026-11-20") } });
    expect(runningOf("spinosad", often)).toBe(3);
    expect(tooManyRunning(["spinosad"], often)).toBe("spinosad");
    const soaped = after({ ...often, soap: { ...none.soap, times: 1, last: day("2026-11-22") } });
    expect(runningOf("spinosad", soaped)).toBe(0);
    expect(runsOn(approachOf("spinosadThenSoap"), often)).toBe(true);
    expect(runsOn(approachOf("spinosadThenSoap"), soaped)).toBe(false);
  });

  it("no approach that is offered begins so, and a plan by hand that runs on is told", () => {
    for (const { id } of approaches) expect(runsOn(approachOf(id), none)).toBe(false);
    const four = ["2026-12-01", "2026-12-08", "2026-12-15", "2026-12-22"].map((on) => ({
      day: day(on),
      dose: { remedy: "spinosad", technique: "spray" } as const,
    }));
    expect(labelObjections(four, none)).toEqual([{ code: "too_many_running", remedy: "spinosad", most: MOST_RUNNING }]);
  });

  it("four of one group next to each other never pass", () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...remedyIds), { maxLength: 12 }), (order) => {
        const groups = order.map(groupOf);
        const four = groups.some((one, i) => one !== null && [1, 2, 3].every((next) => groups[i + next] === one));
        expect(tooManyRunning(order, none) !== null).toBe(four);
      }),
    );
  });
});

describe("what is strong on some pests only", () => {
  it("spinosad: thrips larvae and adults .9, mites .2, eggs and others nothing (HOUSE)", () => {
    const likely = (pest: "thrips" | "spiderMite" | "mealybug", id: string) =>
      killOf(
        "spinosad",
        pest,
        pests[pest].stages.find((stage) => stage.id === id)!,
      ).likely;
    expect(likely("thrips", "larva")).toBeCloseTo(0.9, 12);
    expect(likely("thrips", "adult")).toBeCloseTo(0.9, 12);
    expect(likely("thrips", "egg")).toBe(0);
    expect(likely("spiderMite", "adult")).toBeCloseTo(0.2, 12);
    expect(likely("mealybug", "adult")).toBe(0);
    const does = [doesTo("soap", "aphid"), doesTo("pyrethrins", "armouredScale"), doesTo("essentialOil", "aphid")];
    expect(does).toEqual([1, 0, 0]);
  });
});
