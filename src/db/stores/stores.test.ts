import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import type { Day } from "@/core/shared/days";
import { scopeOf, type Context } from "@/operations/shared/context";
import { freshCollection, openCaseOn, plantOn, wall } from "@/operations/tests/builders";
import type { Scope } from "../connection";
import * as cases from "./cases/cases";
import * as facts from "./record/facts";
import * as placements from "./plants/placements";
import * as plantStates from "./plants/plantStates";

let context: Context;
let scope: Scope;
let shelf: string;
let other: string;
beforeEach(async () => {
  ({ context, shelf, other } = await freshCollection());
  scope = scopeOf(context, "record");
});

const look = (plantId: string, at: Date) => ({
  id: uuidv7(),
  plantId,
  at,
  tool: "lamp" as const,
  spots: ["axil" as const],
  turned: false,
  newLeaves: null,
  ...{ pFind: 0.03, pPassed: 0.5, passes: 1.2 },
  walkId: null,
  naming: { present: ["cottonTufts" as const], absent: [], by: "signs" as const, likeliest: "mealybug" as const },
  note: "",
  finds: [],
});

describe("facts", () => {
  it("come back as they were written, on their day in the collection's zone, with their parts", async () => {
    const plantId = await plantOn(context, shelf);
    const find = {
      id: uuidv7(),
      caseId: uuidv7(),
      pest: "aphid",
      severity: "patch",
      count: null,
      removed: true,
    } as const;
    const seen = { ...find, spots: ["axil" as const], stages: ["nymph"] };
    // Half past eleven at night in UTC on 31 July is the first of August in Lisbon.
    const late = {
      ...look(plantId, new Date("2026-07-31T23:30:00Z")),
      note: "“quoted” & 100 % ok 'so'",
      finds: [seen],
    };
    await facts.add(scope, "look", [late]);
    const by = { recordedBy: "Tester", recordedAccount: null };
    const told = { day: "2026-08-01", recordedAt: context.now, ...by, voidReason: null };
    expect(await facts.find(scope, "look", late.id)).toEqual({ ...late, ...told });
    await facts.strike(scope, "look", late.id, "another plant");
    expect(await facts.find(scope, "look", late.id)).toMatchObject({ voidReason: "another plant" });
  });

  it("acts and plans keep what is of a shape of its own", async () => {
    const plantId = await plantOn(context, shelf);
    const act = { kind: "contact", mix: "oil1", technique: "wipe", volumeMl: 12.5, spots: ["axil"] } as const;
    const done = { id: uuidv7(), plantId, placeId: null, caseId: null, stepId: null, at: wall(1), note: "" };
    await facts.add(scope, "act", [{ ...done, act: { ...act, spots: [...act.spots] } }]);
    expect((await facts.of(scope, "act", "plantId", [plantId]))[0]!.act).toEqual(act);
    const dose = { mix: "soapMild", technique: "spray" } as const;
    const steps = [
      { id: uuidv7(), kind: "look" as const, dueOn: "2026-11-20", dose: null },
      { id: uuidv7(), kind: "treat" as const, dueOn: "2026-11-13", dose },
    ];
    const plan = { id: uuidv7(), programme: "casePlan", plantId, caseId: uuidv7(), pest: "thrips" } as const;
    await facts.add(scope, "programme", [
      { ...plan, basis: "own" as const, pOver: 0.5, pClean: 0.6, sure: 0.97, at: wall(2), steps },
    ]);
    expect(await facts.find(scope, "programme", plan.id)).toMatchObject({
      pOver: 0.5,
      pClean: 0.6,
      sure: 0.97,
      steps: steps.toReversed(),
    });
  });

  it("of one minute come in the order in which they were written down", async () => {
    const plantId = await plantOn(context, shelf);
    const at = wall(1);
    const [first, second] = [look(plantId, at), look(plantId, at)];
    await facts.add({ ...scope, now: new Date(context.now.getTime() - 5000) }, "look", [second]);
    await facts.add(scope, "look", [first]);
    expect((await facts.of(scope, "look", "plantId", [plantId])).map(({ id }) => id)).toEqual([second.id, first.id]);
  });

  it("a row that is not of its shape is a broken promise, and says so", async () => {
    const plantId = await plantOn(context, shelf);
    const one = look(plantId, wall(1));
    await facts.add(scope, "look", [{ ...one, tool: "periscope" as "lamp" }]);
    await expect(facts.find(scope, "look", one.id)).rejects.toThrow(/tool/);
    await expect(facts.strike(scope, "look", uuidv7(), "?")).rejects.toThrow(/is not in collection/);
  });

  it("nothing asked, nothing given", async () => {
    expect(await facts.of(scope, "look", "plantId", [])).toEqual([]);
    expect(await plantStates.of(scope, [])).toEqual([]);
  });
});

describe("who stood beside whom", () => {
  const place = (plantId: string, placeId: string, daysBack: number) =>
    facts.add(scope, "placement", [{ id: uuidv7(), plantId, placeId, slot: null, at: wall(daysBack) }]);

  it("are those who shared a place with a case since it began, whenever that was", async () => {
    const [sick, stayed, left, came, before] = [
      await plantOn(context, shelf),
      await plantOn(context, shelf),
      await plantOn(context, shelf),
      await plantOn(context, other),
      await plantOn(context, shelf),
    ];
    await place(before, other, 30);
    await openCaseOn(context, sick, 20);
    await place(left, other, 14);
    await place(came, shelf, 4);
    expect((await placements.companionsOf(scope, [sick])).toSorted()).toEqual([stayed, left, came].toSorted());
    expect(await cases.besides(scope, [came])).toEqual([sick]);
    expect(await placements.companionsOf(scope, [stayed])).toEqual([]);
  });
});

describe("cases as they are kept", () => {
  it("are found by every id under which something of them was written down", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 3);
    expect(await cases.plantOf(scope, caseId)).toBe(id);
    expect(await cases.plantOf(scope, uuidv7())).toBeNull();
    expect(await cases.open(scope)).toMatchObject([{ id: caseId, pest: "mealybug", openedOn: "2026-11-21" as Day }]);
  });
});
