import { v7 as uuidv7 } from "uuid";
import { describe, expect, it } from "vitest";
import { addDays, type Day } from "@/core/shared/days";
import { dayIn, instantOf, instantsOf } from "@/zones";
import { adoptPlan } from "../../cases/commands/adoptPlan";
import { closeCase } from "../../cases/commands/closeCase";
import { today } from "../../shared/context";
import { judgeStale } from "../../cases/commands/judgeStale";
import { expectOk } from "../../shared/outcome";
import { readCase } from "../../cases/queries/readCase";
import { readPlant } from "../../plants/queries/readPlant";
import { readToday } from "../../plants/queries/readToday";
import { recordAct } from "../../acts/commands/recordAct";
import { recordLook } from "../../looks/commands/recordLook";
import { aFind, aLook, aPlan, aSpray, freshCollection, plantOn } from "../builders";

/** The day on which each story begins, and what is asked of it: an evening west of UTC is the next day there. */
const nights = [
  ["America/Los_Angeles", "2026-11-24", "an evening that is the next day in UTC"],
  ["America/Los_Angeles", "2026-03-07", "the night on which clocks go forward"],
  ["America/Los_Angeles", "2026-10-31", "the night on which clocks go back"],
  ["Pacific/Auckland", "2026-11-24", "a morning that is the day before in UTC"],
  ["Pacific/Auckland", "2026-04-04", "the night on which clocks go back"],
  ["Pacific/Auckland", "2026-09-26", "the night on which clocks go forward"],
  ["Asia/Kathmandu", "2026-11-24", "three quarters of an hour beside the others"],
  ["Europe/Lisbon", "2026-03-28", "the night on which clocks go forward"],
  ["Europe/Lisbon", "2026-10-24", "the night on which clocks go back"],
] as const;

describe.each(nights)("%s on %s, %s", (zone, first, _why) => {
  const night = first as Day;
  const next = addDays(night, 1);
  const at = (day: Day, time: string) => instantOf(`${day}T${time}`, zone);

  it.each(["00:10", "08:00", "23:30", "23:59"])(
    "a find at %s is of that day, and can be judged at once",
    async (time) => {
      const found = at(night, time);
      const { context, shelf } = await freshCollection({ timeZone: zone }, found);
      const plantId = await plantOn(context, shelf);
      const find = aFind();
      expectOk(await recordLook(context, aLook(plantId, 0, { at: found, finds: [find] })));
      const view = (await readCase(context, find.caseId))!;
      expect(view.found.openedOn).toBe(night);
      expect(view.judged?.judged).toMatchObject({ ok: true });
      expect(view.file?.temperature).toMatchObject({ from: night });
      expect((await readPlant(context, plantId))!.card).toMatchObject({
        state: "infested",
        lookDueOn: addDays(night, 7),
      });
      expect(await judgeStale(context)).toBe(1);
    },
  );

  it("treated before and after midnight, found again and clean: every fact on its own day, in its order", async () => {
    const now = at(addDays(night, 3), "20:00");
    const { context, shelf } = await freshCollection({ timeZone: zone }, now);
    const plantId = await plantOn(context, shelf);
    const find = aFind();
    const moment = (day: Day, time: string) => ({ at: at(day, time) });
    expectOk(await recordLook(context, aLook(plantId, 0, { ...moment(night, "22:00"), finds: [find] })));
    const done = (day: Day, time: string, over = {}) =>
      aSpray(plantId, find.caseId, 0, {}, { ...moment(day, time), ...over });
    expectOk(await adoptPlan({ ...context, now: at(night, "22:30") }, aPlan(find.caseId, [night, addDays(night, 3)])));
    const [step] = (await readCase(context, find.caseId))!.plan!.steps;
    expectOk(await recordAct(context, done(night, "23:50", { stepId: step!.id })));
    expectOk(await recordLook(context, aLook(plantId, 0, { ...moment(next, "00:20"), finds: [aFind({ count: 2 })] })));
    expectOk(await recordLook(context, aLook(plantId, 0, moment(addDays(night, 2), "23:40"))));
    const view = (await readCase(context, find.caseId))!;
    expect(view.plan!.steps[0]!.doneOn).toBe(night);
    expect(view.facts.looks.map(({ day }) => day)).toEqual([night, next, addDays(night, 2)]);
    expect(view.file!.events.map((event) => event.at)).toEqual([
      `${night}T22:00:00Z`,
      `${night}T23:50:00Z`,
      `${next}T00:20:00Z`,
      `${addDays(night, 2)}T23:40:00Z`,
    ]);
    expect(view.judged?.judged.ok).toBe(true);
    expect((await readToday(context)).batches.map(({ due }) => due.map(({ daysLate }) => daysLate))).toEqual([[0]]);
    expectOk(await closeCase(context, { id: uuidv7(), caseId: find.caseId, outcome: "givenUp", at: now, note: "" }));
    expect((await readCase(context, find.caseId))!.found.closing).toMatchObject({ day: addDays(night, 3) });
  });

  it("the day turns at midnight there, not elsewhere", async () => {
    const { context } = await freshCollection({ timeZone: zone }, at(night, "23:59"));
    expect(today(context)).toBe(night);
    expect(today({ ...context, now: new Date(context.now.getTime() + 60_000) })).toBe(next);
    expect(dayIn(context.now, zone)).toBe(night);
  });
});

describe("an hour that is told twice", () => {
  // Source: clocks went back at 02:00 on 25 October 2026 in Lisbon and on 1 November 2026 in Los Angeles; from memory.
  it.each([
    ["Europe/Lisbon", "2026-10-25"],
    ["America/Los_Angeles", "2026-11-01"],
  ] as const)("in %s on %s: 01:30 and 01:30 are an hour apart, in the order in which they were", async (zone, day) => {
    const [early, late] = instantsOf(`${day}T01:30`, zone);
    const { context, shelf } = await freshCollection({ timeZone: zone }, instantOf(`${day}T12:00`, zone));
    const plantId = await plantOn(context, shelf);
    const find = aFind();
    // Written down the other way round.
    expectOk(await recordLook(context, aLook(plantId, 0, { at: late! })));
    expectOk(await recordLook(context, aLook(plantId, 0, { at: early!, finds: [find] })));
    const { record, card } = (await readPlant(context, plantId))!;
    expect(record.looks.map((look) => [look.at.toISOString(), look.day, look.finds.length])).toEqual([
      [early!.toISOString(), day, 1],
      [late!.toISOString(), day, 0],
    ]);
    expect(late!.getTime() - early!.getTime()).toBe(3_600_000);
    // The last look was clean: it is no longer seen to be infested.
    expect(card.state).toBe("surer");
    expect((await readCase(context, find.caseId))!.judged?.judged.ok).toBe(true);
  });
});
