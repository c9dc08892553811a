import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import type { Day } from "@/core/climate/days";
import { scopeOf, type Context } from "@/operations/context";
import { freshCollection, openCaseOn, plantOn } from "@/operations/tests/builders";
import type { Scope } from "../connection";
import * as cases from "./cases";
import * as facts from "./facts";
import * as looks from "./looks";
import * as placements from "./placements";
import * as plans from "./plans";
import * as plants from "./plants";
import * as plantStates from "./plantStates";

let context: Context;
let scope: Scope;
let shelf: string;
let other: string;
beforeEach(async () => {
  ({ context, shelf, other } = await freshCollection());
  scope = scopeOf(context);
});

const instant = (text: string) => new Date(`2026-11-${text}Z`);
const look = (plantId: string, at: Date) => ({
  id: uuidv7(),
  plantId,
  at,
  tool: "lamp" as const,
  spots: ["axil" as const],
  turned: false,
  walkId: null,
  naming: { present: ["cottonTufts" as const], absent: [], by: "signs" as const, likeliest: "mealybug" as const },
  note: "",
});

describe("placements", () => {
  it("who stood beside a plant is asked for the moment of the find, not for now", async () => {
    const [found, stayed, left, came] = [
      await plantOn(context, shelf),
      await plantOn(context, shelf),
      await plantOn(context, shelf),
      await plantOn(context, other),
    ];
    const place = (plantId: string, placeId: string, at: Date) =>
      placements.add(scope, { id: uuidv7(), plantId, placeId, at }, context.now);
    await place(left, other, instant("10T12:00"));
    await place(came, shelf, instant("20T12:00"));
    const beside = async (at: string) => (await placements.neighboursAt(scope, found, instant(at))).toSorted();
    expect(await beside("05T12:00")).toEqual([stayed, left].toSorted());
    expect(await beside("15T12:00")).toEqual([stayed]);
    expect(await beside("22T12:00")).toEqual([stayed, came].toSorted());
  });

  it("an archived plant stands beside nobody", async () => {
    const [found, archived] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    await plants.setArchived(scope, archived, context.now);
    expect(await placements.neighboursAt(scope, found, context.now)).toEqual([]);
  });
});

describe("plans", () => {
  it("a look step is done by a look from the day before it is due until the next look step takes over", async () => {
    const plantId = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, plantId, 20);
    const plan = { id: uuidv7(), caseId, mix: "soapMild", technique: "spray", basis: "own" } as const;
    const step = (dueOn: string) => ({ id: uuidv7(), kind: "look" as const, dueOn: dueOn as Day });
    const steps = [step("2026-11-10"), step("2026-11-17")];
    await plans.add(scope, { ...plan, adoptedAt: instant("05T12:00") }, steps, context.now);
    const doneOn = async () => (await plans.find(scope, plan.id))!.steps.map((s) => s.doneOn);
    await looks.add(scope, look(plantId, instant("08T12:00")), context.now);
    expect(await doneOn()).toEqual([null, null]);
    await looks.add(scope, look(plantId, instant("15T12:00")), context.now);
    expect(await doneOn()).toEqual(["2026-11-15", null]);
    await looks.add(scope, look(plantId, instant("16T12:00")), context.now);
    expect(await doneOn()).toEqual(["2026-11-15", "2026-11-16"]);
  });
});

describe("reading back", () => {
  it("a look comes back as it was written, on its day in the collection's zone, with its finds", async () => {
    const plantId = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, plantId, 3);
    // Half past eleven at night in UTC on 31 July is the first of August in Lisbon.
    const late = { ...look(plantId, new Date("2026-07-31T23:30:00Z")), note: "“quoted” & 100 % ok 'so'" };
    await looks.add(scope, late, context.now);
    const find = { id: uuidv7(), caseId, pest: "aphid", severity: "patch", count: null, removed: true } as const;
    const seen = { ...find, spots: ["axil" as const], stages: ["nymph"] };
    await looks.addFinds(scope, late.id, [seen]);
    expect(await looks.find(scope, late.id)).toEqual({ ...late, day: "2026-08-01", finds: [seen], voidReason: null });
  });

  it("nothing asked, nothing given, and nothing sent to the database", async () => {
    expect(await looks.ofPlants(scope, [])).toEqual([]);
    expect(await cases.ofPlants(scope, [])).toEqual([]);
    expect(await plans.ofCases(scope, [])).toEqual([]);
    expect(await plantStates.of(scope, [])).toEqual([]);
  });

  it("an exposure goes when its case is voided", async () => {
    const [found, beside] = [await plantOn(context, shelf), await plantOn(context, shelf)];
    const caseId = await openCaseOn(context, found, 3);
    expect(await cases.exposedBy(scope, [caseId])).toEqual([beside]);
    expect(await cases.exposures(scope, [beside])).toMatchObject([{ caseId, pest: "mealybug", sourcePlantId: found }]);
    await facts.voidFact(scope, "Case", caseId, context.now, "it was perlite");
    expect(await cases.exposures(scope, [beside])).toEqual([]);
    expect(await cases.find(scope, caseId)).toBeNull();
  });

  it("changing what is not there is a broken promise, and says so", async () => {
    await expect(facts.voidFact(scope, "Look", uuidv7(), context.now, "?")).rejects.toThrow(/is not in collection/);
  });
});
