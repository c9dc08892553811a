import fc from "fast-check";
import { v7 as uuidv7 } from "uuid";
import { describe, expect, it } from "vitest";
import * as cases from "@/db/stores/cases/cases";
import * as exposures from "@/db/stores/cases/exposures";
import * as plantStates from "@/db/stores/plants/plantStates";
import { closeCase } from "../../cases/commands/closeCase";
import { scopeOf } from "../../shared/context";
import { deriveStale } from "../../plants/commands/deriveStale";
import { movePlant } from "../../plants/commands/movePlant";
import { readPlant } from "../../plants/queries/readPlant";
import { recordLook } from "../../looks/commands/recordLook";
import { recordAct } from "../../acts/commands/recordAct";
import { setApart } from "../../plants/commands/setApart";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, aSpray, freshCollection, plantOn, wall } from "../builders";

const step = fc.record({
  plant: fc.nat({ max: 2 }),
  command: fc.constantFrom("look", "find", "treat", "apart", "move", "close", "strike"),
  ago: fc.integer({ min: 0, max: 50 }),
});

/** What is kept of states, cases and exposures is never anything but what the facts say. */
describe("derived states", () => {
  it("after any commands in any order, rebuilding from the facts changes nothing", async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 3, maxLength: 12 }), async (steps) => {
        const { context, shelf, other, pantry } = await freshCollection();
        const plants = [
          await plantOn(context, shelf),
          await plantOn(context, shelf),
          await plantOn(context, other),
        ] as const;
        for (const { plant, command, ago } of steps) {
          const id = plants[plant as 0 | 1 | 2];
          const view = (await readPlant(context, id))!;
          const open = view.record.cases.find((c) => c.open);
          if (command === "look") await recordLook(context, aLook(id, ago));
          if (command === "find") await recordLook(context, aLook(id, ago, { finds: [aFind()] }));
          if (command === "treat" && open) await recordAct(context, aSpray(id, open.id, ago));
          if (command === "apart") {
            await setApart(context, { id: uuidv7(), plantId: id, placeId: pantry, bagId: uuidv7(), at: wall(ago) });
          }
          if (command === "move")
            await movePlant(context, { id: uuidv7(), plantId: id, placeId: other, at: wall(ago) });
          if (command === "close" && open) {
            await closeCase(context, { id: uuidv7(), caseId: open.id, outcome: "clear", at: wall(ago), note: "" });
          }
          const last = view.record.looks.findLast((look) => look.voidReason === null);
          if (command === "strike" && last) await voidFact(context, { kind: "look", factId: last.id, reason: "test" });
        }
        const scope = scopeOf(context, "record");
        const known = async () => ({
          states: (await plantStates.list(scope)).map(({ factsVersion: _changes, ...state }) => state),
          cases: await cases.asSources(scope, plants),
          exposures: await exposures.of(scope, plants),
        });
        const kept = await known();
        await plantStates.markAll(scope);
        expect(await deriveStale(context)).toBe(plants.length);
        expect(kept).toEqual(await known());
      }),
      { numRuns: 15 },
    );
  });

  it("finds on one shelf at the same moment neither wait for each other for ever nor miss each other", async () => {
    const { context, shelf } = await freshCollection();
    const plants = [];
    for (let i = 0; i < 6; i++) plants.push(await plantOn(context, shelf));
    const finders = plants.slice(0, 4);
    const outcomes = await Promise.all(finders.map((id) => recordLook(context, aLook(id, 3, { finds: [aFind()] }))));
    expect(outcomes.every((outcome) => outcome.ok)).toBe(true);
    const states = (await plantStates.list(scopeOf(context, "record"))).map((plant) => [plant.id, plant.state]);
    expect(Object.fromEntries(states)).toEqual(
      Object.fromEntries(plants.map((id) => [id, finders.includes(id) ? "infested" : "atRisk"])),
    );
  });
});
