import { describe, expect, it } from "vitest";
import type { Held, Kept } from "./entries";
import { eventsOf } from "./walkEvents";

const id = (n: number) => `019b0000-0000-7000-8000-${String(n).padStart(12, "0")}`;
const walk = id(1);
const entry = (n: number, deed: Kept): Held => ({
  id: id(n),
  deed,
  collectionId: id(900),
  about: "",
  byClock: true,
  state: "waiting",
  message: "",
});
const look = (n: number, plant: number, over: object = {}): Kept => ({
  kind: "look",
  input: { id: id(n), plantId: id(plant), walkId: walk, at: "", tool: "lamp", spots: [], note: "", finds: [], ...over },
});
const skip = (n: number, plant: number): Kept => ({
  kind: "skip",
  input: { id: id(n), walkId: walk, plantId: id(plant), reason: "noTime", at: "" },
});
const takeBack = (n: number): Kept => ({ kind: "void", input: { kind: "look", factId: id(n), reason: "?" } });
const kinds = (given: Parameters<typeof eventsOf>[1], held: Held[], sent: Held[] = []) =>
  eventsOf(walk, given, { held, sent }).map((event) => [event.plantId, event.kind]);

describe("what a page knows of a walk", () => {
  const find = { id: id(90), caseId: id(91), pest: "thrips", severity: "light", count: null, removed: false };

  it("is what the server gave and what was pressed since, each once", () => {
    const given = [{ id: id(20), plantId: id(10), kind: "clean" as const, atMs: 0 }];
    const pressed = [entry(31, look(20, 10)), entry(32, look(21, 11, { finds: [find] })), entry(33, skip(22, 12))];
    const expected = [
      [id(10), "clean"],
      [id(11), "found"],
      [id(12), "skipped"],
    ];
    expect(kinds(given, pressed)).toEqual(expected);
    // Sent or still waiting makes no difference to what is shown.
    expect(kinds(given, pressed.slice(2), pressed.slice(0, 2))).toEqual(expected);
  });

  it("leaves out what was taken back, whoever wrote it, and other walks", () => {
    const given = [{ id: id(20), plantId: id(10), kind: "clean" as const, atMs: 0 }];
    const other = entry(34, look(23, 13, { walkId: id(2) }));
    const beside = entry(35, look(24, 14, { walkId: null }));
    expect(
      kinds(given, [entry(31, look(21, 11)), entry(32, takeBack(20)), entry(33, takeBack(21)), other, beside]),
    ).toEqual([]);
  });

  it("leaves out what the server would not take", () => {
    expect(kinds([], [{ ...entry(31, look(20, 10)), state: "refused" }])).toEqual([]);
    expect(kinds([], [{ ...entry(31, look(20, 10)), state: "stuck" }])).toHaveLength(1);
  });

  it("reads the moment from the id", () => {
    const made = "019b0000-0000-7000-8000-000000000001";
    const [event] = eventsOf(walk, [], { held: [entry(1, look(1, 1, { id: made }))], sent: [] });
    expect(event!.atMs).toBe(0x019b00000000);
  });
});
