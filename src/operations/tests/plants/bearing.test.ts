import { likelihoodOf, reachOf } from "@/core/model/learning/reach";
import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import { mixFor } from "@/core/advice/tolerance/mixFor";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { closeCase } from "../../cases/commands/closeCase";
import type { Context } from "../../shared/context";
import { editPlant } from "../../plants/commands/editPlant";
import { expectOk } from "../../shared/outcome";
import { readCase } from "../../cases/queries/readCase";
import { readPestHistory } from "../../cases/queries/readPestHistory";
import { readPlant } from "../../plants/queries/readPlant";
import { recordAct } from "../../acts/commands/recordAct";
import { recordLook } from "../../looks/commands/recordLook";
import { recordReaction } from "../../plants/commands/recordReaction";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, aPlan, aSpray, codes, freshCollection, openCaseOn, plantOn, wall } from "../builders";

let context: Context;
let shelf: string;
beforeEach(async () => ({ context, shelf } = await freshCollection()));

const bearer = async (id: string) => (await readPlant(context, id))!.on.bearer;

describe("what a plant has borne badly", () => {
  const reaction = (plantId: string, over = {}) => ({
    ...{ id: uuidv7(), plantId, mix: "alcoholHalf", technique: "sprayAndSwab", what: "scorch" },
    ...{ at: wall(2), note: "" },
    ...over,
  });

  it("makes the next proposal milder, refuses the same again, and is taken back with its reason", async () => {
    const id = await plantOn(context, shelf);
    expect(mixFor("alcohol", await bearer(id))).toBe("alcoholHalf");
    const scorched = reaction(id) as Parameters<typeof recordReaction>[1];
    expectOk(await recordReaction(context, scorched));
    expectOk(await recordReaction(context, scorched));
    expect((await readPlant(context, id))!.record.reactions).toHaveLength(1);
    expect(mixFor("alcohol", await bearer(id))).toBe("alcoholQuarter");
    const caseId = await openCaseOn(context, id, 5);
    const again = aPlan(caseId, ["2026-11-25"], { mix: "alcoholHalf", technique: "sprayAndSwab" });
    expect(codes(await adoptPlan(context, again))).toEqual(["mix advised_against"]);
    const milder = { ...again, id: uuidv7(), mix: "alcoholQuarter" as const };
    expectOk(await adoptPlan(context, milder));

    expectOk(await voidFact(context, { kind: "reaction", factId: scorched.id, reason: "It was the sun." }));
    expect(mixFor("alcohol", await bearer(id))).toBe("alcoholHalf");
  });

  it("of years ago is asked about, and then believed", async () => {
    const id = await plantOn(context, shelf);
    const scorched = reaction(id, { at: wall(900) }) as Parameters<typeof recordReaction>[1];
    expect(codes(await recordReaction(context, scorched))).toEqual(["at so_long_ago"]);
    expectOk(await recordReaction(context, { ...scorched, longAgo: true }));
    expect(mixFor("alcohol", await bearer(id))).toBe("alcoholQuarter");
  });

  it("of a plant that is not there is refused", async () => {
    const unknown = reaction(uuidv7()) as Parameters<typeof recordReaction>[1];
    expect(codes(await recordReaction(context, unknown))).toEqual(["plantId unknown"]);
  });
});

describe("what a keeper knows of a plant", () => {
  it("is added to its kind and taken from it, and stays when the label is changed without it", async () => {
    const id = await plantOn(context, shelf);
    const { plant } = (await readPlant(context, id))!;
    const { id: plantId, addedOn: _a, archivedAt: _b, careAdded: _c, careWithout: _d, ...label } = plant;
    const known = { careAdded: ["alcoholShy" as const], careWithout: ["milkySap" as const], inBud: true };
    expectOk(await editPlant(context, { plantId, ...label, ...known }));
    expect((await bearer(id)).sensitivities).toContain("alcoholShy");
    expect((await bearer(id)).sensitivities).not.toContain("milkySap");
    const { inBud: _e, ...withoutBud } = label;
    expectOk(await editPlant(context, { plantId, ...withoutBud, name: "Renamed" }));
    expect((await readPlant(context, id))!.plant).toMatchObject({ ...known, name: "Renamed" });
  });
});

describe("what a look and a dab say", () => {
  it("new leaves without a mark are a clean look of their own, before the look they were told with", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 20);
    const before = (await readCase(context, caseId))!.file!.events.length;
    expectOk(await recordLook(context, aLook(id, 2, { newLeaves: 3 })));
    const { events } = (await readCase(context, caseId))!.file!;
    expect(events).toHaveLength(before + 2);
    expect(events.at(-2)).toMatchObject({ type: "inspection", found: 0, see: { egg: [0, 0, 0] } });
  });

  it("stages that could not have been seen that way are left out, and the case stays reckoned", async () => {
    const id = await plantOn(context, shelf);
    // Paper shows what moves: no egg sac falls on it, and the walking crawler does.
    const find = (stages: string[]) => aFind({ stages });
    const seen = find(["egg", "crawler"]);
    expectOk(await recordLook(context, aLook(id, 9, { tool: "paper", spots: ["underside"], finds: [seen] })));
    const view = (await readCase(context, seen.caseId))!;
    expect(view.file!.events[0]).toMatchObject({ stages: ["crawler"] });
    expect(view.judged!.judged.ok).toBe(true);
    expectOk(await recordLook(context, aLook(id, 3, { tool: "paper", spots: ["underside"], finds: [find(["egg"])] })));
    const later = (await readCase(context, seen.caseId))!;
    expect(later.file!.events.at(-1)).not.toHaveProperty("stages");
    expect(later.judged!.judged.ok).toBe(true);
  });

  it("a tool that came with a spray says nothing: only a dab is guided by it", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 5);
    const act = { kind: "contact" as const, mix: "soapMild" as const, technique: "spray" as const, volumeMl: 60 };
    const spray = { ...act, spots: ["axil" as const], tool: "loupe" as const };
    expectOk(await recordAct(context, { ...aSpray(id, caseId, 4), act: spray }));
    const view = (await readCase(context, caseId))!;
    expect(view.file!.events.at(-1)).not.toHaveProperty("with");
    expect(view.judged!.judged.ok).toBe(true);
  });

  it("a dab with the tool of the other hand and a bottle of its own strength count as what they are", async () => {
    const id = await plantOn(context, shelf);
    const caseId = await openCaseOn(context, id, 5);
    const act = { kind: "contact", mix: "alcoholFull", technique: "dab", volumeMl: 5, spots: ["axil"] } as const;
    const own = { ...act, spots: [...act.spots], tool: "loupe" as const, strength: 35 };
    expectOk(await recordAct(context, { ...aSpray(id, caseId, 4), act: own }));
    const { events } = (await readCase(context, caseId))!.file!;
    expect(events.at(-1)).toMatchObject({ technique: "dab", with: "loupe", potency: 0.55, spots: ["axil"] });
  });
});

describe("what a closed case has told", () => {
  it("of the hand that treated it is kept, and the next case begins with it; the almanac counts how it ended", async () => {
    const closed = async () => {
      const id = await plantOn(context, shelf);
      const caseId = await openCaseOn(context, id, 60);
      for (const ago of [60, 53, 46]) expectOk(await recordAct(context, aSpray(id, caseId, ago)));
      expectOk(await closeCase(context, { id: uuidv7(), caseId, outcome: "clear", at: wall(30), note: "" }));
      return (await readPlant(context, id))!.record.closings[0]!.reach!;
    };
    const told = [await closed(), await closed(), await closed()];
    for (const { weights } of told) expect(weights.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 9);

    const other = await plantOn(context, shelf);
    const next = await openCaseOn(context, other, 10);
    expect((await readCase(context, next))!.file!.reachPrior).toBeUndefined();
    expectOk(await recordAct(context, aSpray(other, next, 9)));
    const prior = (await readCase(context, next))!.file!.reachPrior!;
    const likelihoods = told.map(({ weights, prior: before }) => likelihoodOf(weights, before));
    expect(prior).toEqual(reachOf(likelihoods, [], "mixed")!.mean);
    expect((await readCase(context, next))!.judged!.judged.ok).toBe(true);

    const history = await readPestHistory(context, "mealybug");
    expect(history.ended).toEqual({ clear: 3, givenUp: 0, lost: 0 });
    expect(history.clearWith).toEqual([{ remedy: "alcohol", cases: 3 }]);
    expect(history.meanC).toBeGreaterThan(15);
  });
});
