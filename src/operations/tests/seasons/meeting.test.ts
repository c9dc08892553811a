import fc from "fast-check";
import { v7 as uuidv7 } from "uuid";
import { describe, expect, it } from "vitest";
import type { RecordLook } from "@/core/record/facts/kinds/look";
import * as plantStates from "@/db/stores/plants/plantStates";
import { scopeOf, type Context } from "../../shared/context";
import { expectOk } from "../../shared/outcome";
import { readPlant } from "../../plants/queries/readPlant";
import { recordCleaning } from "../../places/commands/recordCleaning";
import { readWalk } from "../../walks/queries/readWalk";
import { recordLook } from "../../looks/commands/recordLook";
import { setApart } from "../../plants/commands/setApart";
import { skipPlant } from "../../looks/commands/skipPlant";
import { startWalk } from "../../walks/commands/startWalk";
import { voidFact } from "../../record/commands/voidFact";
import { aFind, aLook, freshCollection, plantOn, wall } from "../builders";

/** What one device presses, in its order; `at` is its minute. */
const press = fc.record({
  plant: fc.nat({ max: 2 }),
  command: fc.constantFrom("clean", "find", "skip", "apart", "cleaned", "takeBack"),
  at: fc.integer({ min: 0, max: 40 }),
});
type Press = typeof press extends fc.Arbitrary<infer T> ? T : never;
/** How two queues come together: whose command arrives next, and which of what has arrived is sent once more, its answer lost. */
const meeting = fc.array(fc.record({ second: fc.boolean(), again: fc.boolean() }), { minLength: 20, maxLength: 20 });

interface Sent extends Press {
  readonly id: string;
  readonly findId: string;
  readonly caseId: string;
  /** The look or skip before it on the same device that it takes back. */
  readonly of: { readonly id: string; readonly kind: "look" | "skip" } | null;
}

function queueOf(presses: readonly Press[]): Sent[] {
  const sent: Sent[] = [];
  const back = new Set<string>();
  for (const one of presses) {
    const last = sent.findLast(({ id, command }) => ["clean", "find", "skip"].includes(command) && !back.has(id));
    const of = one.command === "takeBack" && last ? last : null;
    if (of) back.add(of.id);
    const ids = { id: uuidv7(), findId: uuidv7(), caseId: uuidv7() };
    sent.push({ ...one, ...ids, of: of && { id: of.id, kind: of.command === "skip" ? "skip" : "look" } });
  }
  return sent;
}

async function send(context: Context, plants: readonly string[], pantry: string, walkId: string, one: Sent) {
  const { id, plant, command, of } = one;
  const plantId = plants[plant]!;
  const at = wall(0, `12:${String(one.at).padStart(2, "0")}`);
  const look = (finds: RecordLook["finds"]) =>
    recordLook(context, aLook(plantId, 0, { id, walkId, at, finds: [...finds] }));
  if (command === "clean") return look([]);
  if (command === "find") return look([aFind({ id: one.findId, caseId: one.caseId })]);
  if (command === "skip") return skipPlant(context, { id, walkId, plantId, reason: "noTime", at });
  if (command === "apart") return setApart(context, { id, plantId, placeId: pantry, bagId: uuidv7(), at });
  if (command === "cleaned") return recordCleaning(context, { id, walkId, at });
  return of && voidFact(context, { kind: of.kind, factId: of.id, reason: "Undone on the walk." });
}

/** Everything that a keeper could see of it afterwards, without what is named only by who came first. */
async function record(context: Context, plants: readonly string[], walkId: string) {
  const views = await Promise.all(plants.map((id) => readPlant(context, id)));
  const states = await plantStates.list(scopeOf(context, "record"));
  const { events } = (await readWalk(context, walkId))!;
  return {
    plants: views.map((view) => ({
      looks: view!.record.looks.map(({ id, at, voidReason }) => [id, at, voidReason]).sort(),
      placements: view!.record.placements.map(({ id, at, voidReason }) => [id, at, voidReason]).sort(),
      cases: view!.record.cases.map(({ pest, open, openedAt, finds }) => [pest, open, openedAt, finds]).sort(),
    })),
    states: states.map(({ code, state, petals, apart, lookDueOn, placeId }) => [
      ...[plants.findIndex((id) => id.endsWith(code)), state, petals, apart, lookDueOn, placeId !== null],
    ]),
    events: events.toSorted((a, b) => (a.id < b.id ? -1 : 1)),
  };
}

describe("two devices on one walk, with a line that is cut", () => {
  it("come to the same record in whatever order what they kept arrives, and however often", async () => {
    const queue = fc.array(press, { minLength: 1, maxLength: 6 });
    await fc.assert(
      fc.asyncProperty(queue, queue, meeting, meeting, async (a, b, ...meetings) => {
        const queues = [queueOf(a), queueOf(b)] as const;
        const ids = [uuidv7(), uuidv7(), uuidv7()];
        const walkId = uuidv7();
        const records = [];
        for (const order of meetings) {
          const { context, shelf, other, pantry } = await freshCollection();
          for (const [i, id] of ids.entries())
            await plantOn(context, i < 2 ? shelf : other, { id, placementId: id, code: id.slice(-8) });
          const walk = { id: walkId, scope: "everything", placeId: null, tool: "lamp", round: "likely" } as const;
          expectOk(await startWalk({ ...context, now: wall(0, "11:00") }, walk));
          const left: [Sent[], Sent[]] = [[...queues[0]], [...queues[1]]];
          for (const { second, again } of order) {
            const next = (second ? left[1] : left[0]).shift();
            if (!next) continue;
            await send(context, ids, pantry, walkId, next);
            if (again) await send(context, ids, pantry, walkId, next);
          }
          for (const rest of left.flat()) await send(context, ids, pantry, walkId, rest);
          records.push(await record(context, ids, walkId));
        }
        expect(records[0]).toEqual(records[1]);
      }),
      { numRuns: 15 },
    );
  }, 120_000);
});
