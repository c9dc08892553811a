import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";
import fc from "fast-check";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { SentLater } from "@/core/record/facts/sentLater";
import type { Label } from "./entries";

const id = (n: number) => `019b0000-0000-7000-8000-${String(n).padStart(12, "0")}`;
const label: Label = { collectionId: id(900), about: "L04 Lemon", byClock: true };
const at = "2026-11-24T18:00:00+00:00";
const filed = { plantId: id(2), placeId: null, caseId: null };
/** One press of each kind that can be taken back: a look, a plant left out, a treatment of a session, one of a wintering. */
const presses: readonly ((n: number) => SentLater)[] = [
  (n) => ({
    kind: "look",
    input: { id: id(n), plantId: id(2), walkId: id(1), at, tool: "lamp", spots: ["axil"], note: "", finds: [] },
  }),
  (n) => ({ kind: "skip", input: { id: id(n), walkId: id(1), plantId: id(2), reason: "noTime", at } }),
  (n) => ({
    kind: "act",
    input: {
      ...{ id: id(n), ...filed, stepId: id(700 + n), at, note: "", alreadyDone: false },
      act: { kind: "contact", mix: "soapMild", technique: "spray", volumeMl: 60, spots: ["axil"] },
    },
  }),
  (n) => ({
    kind: "act",
    input: {
      ...{ id: id(n), ...filed, stepId: null, at, note: "", alreadyDone: false },
      act: { kind: "mechanical", way: "shower", tool: null, percent: null, spots: ["axil"] },
    },
  }),
];
const kinds = ["look", "skip", "act", "act"] as const;

/** What becomes of a request: it gets through, is lost on the way, or its answer is, or the server fails after it has written. */
type Fate = "through" | "lost" | "answerLost" | "failsAfter";
/** What the keeper does: a press, an undo of the last that stands, a photo for the last look, a page closed and opened again. */
type Step =
  { readonly do: "press"; readonly kind: 0 | 1 | 2 | 3 } | { readonly do: "undo" | "photo" | "reopen" | "wait" };

const step: fc.Arbitrary<Step> = fc.oneof(
  fc.record({ do: fc.constant("press" as const), kind: fc.constantFrom(0, 1, 2, 3) }) as fc.Arbitrary<Step>,
  fc.constantFrom<Step>({ do: "undo" }, { do: "undo" }, { do: "photo" }, { do: "reopen" }, { do: "wait" }),
);
const fates = fc.array(fc.constantFrom<Fate>("through", "lost", "answerLost", "failsAfter"), { maxLength: 30 });

describe("whatever is lost between the browser and the server", () => {
  let outbox: typeof import("./outbox").outbox;
  const settle = async () => {
    for (let turn = 0; turn < 25; turn++) {
      await new Promise((resolve) => setImmediate(resolve));
      await vi.advanceTimersByTimeAsync(0);
    }
  };
  const open = async () => {
    vi.clearAllTimers();
    vi.resetModules();
    ({ outbox } = await import("./outbox"));
    outbox.at({ id: label.collectionId }, { who: "", records: true });
    outbox.subscribe(() => {});
    await settle();
  };
  beforeEach(() => {
    vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout", "Date"] });
    vi.stubGlobal("addEventListener", () => {});
    vi.spyOn(console, "error").mockImplementation(() => {});
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
  });

  it(
    "in the end the server holds what was pressed and not taken back, and nothing else",
    { timeout: 120_000 },
    async () => {
      await fc.assert(
        fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 8 }), fates, async (steps, due) => {
          globalThis.indexedDB = new IDBFactory();
          const recorded = new Set<string>();
          const struck = new Set<string>();
          const coming = [...due];
          const write = (url: string, init: RequestInit) => {
            if (url.startsWith("/looks/")) return void recorded.add(url.split("/")[4]!);
            const { kind, input } = JSON.parse(init.body as string) as SentLater;
            if (kind === "void") struck.add((input as { factId: string }).factId);
            else recorded.add((input as { id: string }).id);
          };
          vi.stubGlobal("fetch", async (url: string, init: RequestInit) => {
            const fate = coming.shift() ?? "through";
            if (fate === "lost") throw new TypeError("no line");
            write(url, init);
            if (fate === "answerLost") throw new TypeError("the answer is lost");
            const failed = { ok: false, retry: true, problems: [{ path: "", message: "Not just now." }] };
            return fate === "failsAfter"
              ? new Response(JSON.stringify(failed), { status: 503 })
              : new Response(JSON.stringify({ ok: true, value: {} }));
          });
          await open();
          const standing: { readonly id: string; readonly kind: (typeof kinds)[number] }[] = [];
          const photos = new Map<string, string>();
          let n = 10;
          for (const one of steps) {
            if (one.do === "press") {
              outbox.add(presses[one.kind]!(++n), label);
              standing.push({ id: id(n), kind: kinds[one.kind]! });
            } else if (one.do === "undo") {
              const last = standing.pop();
              if (!last) continue;
              outbox.add({ kind: "void", input: { kind: last.kind, factId: last.id, reason: "Taken back." } }, label);
            } else if (one.do === "photo") {
              const look = standing.findLast(({ kind }) => kind === "look");
              if (!look) continue;
              photos.set(id(++n), look.id);
              outbox.addPhoto({ id: id(n), lookId: look.id }, new Blob(["picture"]), label);
            } else if (one.do === "reopen") await open();
            await settle();
          }
          for (let passed = 0; passed < 60 && outbox.current().held.length > 0; passed++) {
            await vi.advanceTimersByTimeAsync(31_000);
            await settle();
          }
          expect(outbox.current().held).toEqual([]);
          const wanted = standing.map((one) => one.id);
          const photosOf = (looks: readonly string[]) =>
            [...photos].filter(([, look]) => looks.includes(look)).map(([photo]) => photo);
          const there = [...recorded].filter((one) => !struck.has(one) && !photos.has(one));
          expect(there.toSorted()).toEqual(wanted.toSorted());
          // A photo of a look that stands is there; one of a look that was taken back may be, and is struck out with it.
          for (const photo of photosOf(wanted)) expect(recorded).toContain(photo);
        }),
        { numRuns: 60 },
      );
    },
  );
});
