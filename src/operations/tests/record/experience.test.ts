import { createWriteStream, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import { v7 as uuidv7 } from "uuid";
import { afterAll, beforeEach, describe, expect, it } from "vitest";
import { experienceOf } from "@/core/advice/learning/experience";
import { learnedReach } from "@/core/model/learning/reach";
import * as collections from "@/db/stores/collections";
import { closeCase } from "../../cases/commands/closeCase";
import { readCase } from "../../cases/queries/readCase";
import { recordAct } from "../../acts/commands/recordAct";
import { recordLook } from "../../looks/commands/recordLook";
import { addExperience } from "../../record/commands/addExperience";
import { forgetExperience } from "../../record/commands/forgetExperience";
import { keeperCode } from "../../record/putExperience";
import { readTaught } from "../../record/queries/readTaught";
import { scopeOf, type Context } from "../../shared/context";
import { expectOk } from "../../shared/outcome";
import { exportCollection } from "../../transfer/exportCollection";
import { FileProblem, importCollection } from "../../transfer/importCollection";
import { readSpread } from "../../plants/spreadOnRecord";
import { aLook, aSpray, codes, experienceOfOne, freshCollection, openCaseOn, plantOn, wall } from "../builders";

const folder = mkdtempSync(path.join(tmpdir(), "wary-experience-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

let context: Context;
let shelf: string;
beforeEach(async () => ({ context, shelf } = await freshCollection()));

/** The collection as it is now: what was read in counts from the next press on. */
const now = async (of: Context): Promise<Context> => ({
  ...of,
  collection: (await collections.find({ sequelize: of.sequelize, transaction: undefined }, of.collection.id))!,
});
const add = (of: Context, file: unknown = experienceOfOne) => addExperience(of, { text: JSON.stringify(file) });
const sprayed = async () => {
  const plantId = await plantOn(context, shelf);
  const caseId = await openCaseOn(context, plantId, 20);
  expectOk(await recordAct(context, aSpray(plantId, caseId, 19, { mix: "soapMild", technique: "spray" })));
  return caseId;
};
const begun = async (caseId: string) => (await readCase(await now(context), caseId))!.file!.reachPrior;

describe("other keepers' experience", () => {
  it("is what a case begins with where nothing was closed here, counted once, until it is forgotten", async () => {
    const caseId = await sprayed();
    expect(await begun(caseId)).toBeUndefined();
    expect(expectOk(await add(context))).toEqual({ keepers: 1 });
    const once = await now(context);
    expect(expectOk(await add(once))).toEqual({ keepers: 1 });
    // Twice is once: nothing was changed.
    expect((await now(context)).collection.settingsVersion).toBe(once.collection.settingsVersion);
    expect(await begun(caseId)).toEqual(learnedReach([], 12, [], [16, 2, 2]).mean);
    const { judged } = (await readCase(await now(context), caseId))!;
    expect(judged!.judged.ok && judged!.judged.judgement.byOurs).toBeGreaterThan(0);
    // Whoever wants our estimates alone has them.
    const ours = { ...once, collection: { ...once.collection, numbers: "ours" as const } };
    expect((await readCase(ours, caseId))!.file!.reachPrior).toBeUndefined();
    const taught = await readTaught(once);
    expect(taught.elsewhere).toMatchObject({ keepers: 1, cases: 21, told: { arrivals: { plants: 40, showed: 20 } } });
    expect(taught.arrivals).toEqual({ share: (1 + 0.25 * 20) / 20, weigh: 20 });
    expectOk(await forgetExperience(once));
    expect(await begun(caseId)).toBeUndefined();
    expect((await readTaught(await now(context))).elsewhere).toBeNull();
  });

  it("its own is none, what cannot be is refused, and neither keeps anything", async () => {
    const own = {
      ...experienceOfOne,
      from: [{ ...experienceOfOne.from[0], keeper: keeperCode(context.collection.id) }],
    };
    expect(codes(await add(context, own))).toEqual([" only_own_experience"]);
    const bad = structuredClone(experienceOfOne);
    bad.from[0]!.arrivals.showed = 99;
    expect(expectOk(await add(context, bad))).toEqual({
      refused: [{ path: "from[0].arrivals", message: "more showed a pest than came" }],
    });
    expect(expectOk(await addExperience(context, { text: "{" }))).toMatchObject({ refused: [{ path: "" }] });
    expect(codes(await add({ ...context, role: "keeper" }))).toEqual([" not_allowed"]);
    expect((await now(context)).collection.toldElsewhere).toBeNull();
    // Both at once: only the other's counts.
    expect(expectOk(await add(context, { ...own, from: [...own.from, ...experienceOfOne.from] }))).toEqual({
      keepers: 1,
    });
  });

  it("how much passes from plant to plant elsewhere is where it begins here", async () => {
    const passes = async (of: Context) => (await readSpread(of, scopeOf(of, "read"))).spread.passes;
    expect(await passes(context)).toBe(1);
    expectOk(await add(context));
    const known = await now(context);
    // By hand, two normal densities of the logarithm: ours of 1 / 0.7² = 2.04 at −½ / 2.04, a quarter of theirs of 4 at ¾.
    const [precision, pull] = [1 / 0.49 + 0.25 * 4, -0.5 + 0.25 * 3];
    const mean = Math.exp(pull / precision + 1 / (2 * precision));
    expect(await passes(known)).toBeCloseTo(mean, 2);
    expect((await readTaught(known)).passing.learned!.mean).toBeCloseTo(mean, 2);
    expect(await passes({ ...known, collection: { ...known.collection, numbers: "ours" } })).toBe(1);
    // What was read in is not handed on as one's own.
    expect((await readTaught(known)).worth.passing).toEqual({ looks: 0, precision: 0, pull: 0 });
  });

  it("what this record is worth is read by another keeper, and tells nobody where it came from", async () => {
    const caseId = await sprayed();
    expectOk(await recordLook(context, aLook((await readCase(context, caseId))!.plant.id, 2)));
    expectOk(await closeCase(context, { id: uuidv7(), caseId, outcome: "clear", at: wall(1), note: "" }));
    const file = experienceOf(keeperCode(context.collection.id), await readTaught(context));
    expect(file.from[0]!.hands).toMatchObject([{ technique: "spray", cases: 1 }]);
    const there = await freshCollection();
    expect(expectOk(await add(there.context, file))).toEqual({ keepers: 1 });
    // What was learned from others is not handed on as one's own.
    expectOk(await add(context));
    expect(experienceOf(keeperCode(context.collection.id), await readTaught(await now(context)))).toEqual(file);
  });

  it("goes with the collection's file, is merged where it comes in, and is refused there as well", async () => {
    expectOk(await add(context));
    const file = path.join(folder, "with.zip");
    await pipeline(exportCollection(await now(context)), createWriteStream(file));
    const there = await freshCollection();
    const second = structuredClone(experienceOfOne);
    second.from[0]!.keeper = "2".repeat(32);
    expectOk(await add(there.context, second));
    for (let i = 0; i < 2; i++) {
      await importCollection(there.context, file);
      expect((await now(there.context)).collection.toldElsewhere).toMatchObject({
        keepers: 2,
        arrivals: { plants: 80 },
      });
    }
    const bad = structuredClone(experienceOfOne);
    bad.from[0]!.hands[0]!.cases = 5000;
    const scope = { ...context, transaction: undefined, collectionId: context.collection.id };
    await collections.putExperience({ ...scope, timeZone: "UTC", accountId: null } as never, bad, null);
    await pipeline(exportCollection(await now(context)), createWriteStream(file));
    await expect(importCollection(there.context, file)).rejects.toThrow(FileProblem);
  });
});
