import { v7 as uuidv7 } from "uuid";
import { beforeEach, describe, expect, it } from "vitest";
import type { StartTimer } from "@/core/acts/timerCommands";
import type { Context } from "../../shared/context";
import { endTimer } from "../../acts/commands/endTimer";
import { expectOk } from "../../shared/outcome";
import { readTimers } from "../../acts/queries/readTimers";
import { startTimer } from "../../acts/commands/startTimer";
import { codes, freshCollection, NOW, plantOn } from "../builders";

let context: Context;
let plantId: string;
beforeEach(async () => {
  const fresh = await freshCollection();
  context = fresh.context;
  plantId = await plantOn(context, fresh.shelf);
});

const HOUR_MS = 3_600_000;
const dark = (at: Date = NOW): StartTimer => ({ id: uuidv7(), plantId, what: "dark", minutes: 24 * 60, at });
const later = (hours: number): Context => ({ ...context, now: new Date(NOW.getTime() + hours * HOUR_MS) });

describe("timers", () => {
  it("are shown to everybody until somebody sees to them; sent twice they run once, ended twice they end once", async () => {
    const command = dark();
    expectOk(await startTimer(context, command));
    expectOk(await startTimer(context, command));
    const sitter: Context = { ...later(1), role: "sitter", actor: "Ida · phone" };
    expect(await readTimers(sitter)).toMatchObject([{ id: command.id, what: "dark", plantId }]);
    expect((await readTimers(later(25)))[0]!.endsAt.getTime()).toBe(NOW.getTime() + 24 * HOUR_MS);
    for (const who of [sitter, context]) expectOk(await endTimer(who, { timerId: command.id, at: NOW }));
    expect(await readTimers(later(1))).toEqual([]);
  });

  it("one that is sent late began when it was pressed, and may have rung meanwhile; one of days ago is gone", async () => {
    expectOk(await startTimer(later(30), dark(NOW)));
    const [timer] = await readTimers(later(30));
    expect(timer!.endsAt < later(30).now).toBe(true);
    expect(await readTimers(later(24 + 49))).toEqual([]);
  });

  it("a change of the clocks moves no timer: a day is 24 hours, whatever the wall shows", async () => {
    // In Lisbon the clocks go back in the night to 25 October 2026.
    const evening = new Date("2026-10-24T18:05:00Z");
    const then: Context = { ...context, now: evening };
    expectOk(await startTimer(then, dark(evening)));
    expect((await readTimers(then))[0]!.endsAt).toEqual(new Date("2026-10-25T18:05:00Z"));
  });

  it("from the future, on a plant that is not there, or by whoever only reads, they are refused", async () => {
    expect(codes(await startTimer(context, dark(new Date(NOW.getTime() + HOUR_MS))))).toEqual(["at in_future"]);
    expect(codes(await startTimer(context, { ...dark(), plantId: uuidv7() }))).toEqual(["plantId unknown"]);
    expect(codes(await startTimer({ ...context, role: "reader" }, dark()))).toEqual([" not_allowed"]);
    expectOk(await endTimer(context, { timerId: uuidv7(), at: NOW }));
  });
});
