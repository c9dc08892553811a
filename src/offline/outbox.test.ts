import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";
import { openDB } from "idb";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { SentLater } from "@/core/record/facts/sentLater";
import type { Label, Person } from "./entries";

const id = (n: number) => `019b0000-0000-7000-8000-${String(n).padStart(12, "0")}`;
const plant = id(2);
const label: Label = { collectionId: id(900), about: "L04 Lemon", byClock: true };
const look = (n: number, at = "2026-11-24T18:00:00+00:00"): SentLater => ({
  kind: "look",
  input: { id: id(n), plantId: plant, walkId: id(1), at, tool: "lamp", spots: ["axil"], note: "", finds: [] },
});
const takeBack = (n: number): SentLater => ({ kind: "void", input: { kind: "look", factId: id(n), reason: "?" } });
const json = (body: object, status = 200) => new Response(JSON.stringify(body), { status });
const done = () => json({ ok: true, value: {} });
const refused = (message: string, more = {}) => json({ ok: false, ...more, problems: [{ path: "", message }] }, 422);
const troubled = () => json({ ok: false, retry: true, problems: [{ path: "", message: "Not just now." }] }, 503);

/** Every test has an outbox of its own in a browser of its own. */
describe("what is kept until it is sent", () => {
  const answers = vi.fn<(url: string, init: RequestInit) => Promise<Response>>();
  let online = () => {};
  let outbox: typeof import("./outbox").outbox;

  /** Opens the page: again, for one that was closed. */
  const open = async () => {
    vi.clearAllTimers();
    vi.resetModules();
    ({ outbox } = await import("./outbox"));
    outbox.at({ id: label.collectionId }, person);
    outbox.subscribe(() => {});
    await settle();
  };
  let person: Person = { who: "", records: true };
  /** Lets the store and the answers have their turns, which take no time here. */
  const settle = async () => {
    for (let turn = 0; turn < 40; turn++) {
      await new Promise((resolve) => setImmediate(resolve));
      await vi.advanceTimersByTimeAsync(0);
    }
  };
  const pass = async (ms: number) => {
    for (let passed = 0; passed < ms; passed += 500) {
      await vi.advanceTimersByTimeAsync(Math.min(500, ms - passed));
      await settle();
    }
  };
  beforeEach(async () => {
    person = { who: "", records: true };
    globalThis.indexedDB = new IDBFactory();
    vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout", "Date"] });
    answers.mockReset();
    vi.stubGlobal("fetch", answers);
    vi.stubGlobal("addEventListener", (_name: string, listener: () => void) => (online = listener));
    vi.spyOn(console, "error").mockImplementation(() => {});
    await open();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
  });
  const sentIds = () =>
    answers.mock.calls.map(([, init]) => {
      const { input } = JSON.parse(init.body as string) as SentLater;
      return "id" in input ? input.id : "factId" in input ? input.factId : "";
    });
  const held = () => outbox.current().held.map((one) => [one.state, (one.deed.input as { id?: string }).id]);

  it("what is never answered is given up and sent again with the same id, and nothing behind it waits for ever", async () => {
    answers.mockImplementationOnce(async (_url, { signal }) => {
      expect(signal).toBeInstanceOf(AbortSignal);
      throw new DOMException("The operation timed out.", "TimeoutError");
    });
    answers.mockImplementation(async () => done());
    outbox.add(look(10), label);
    outbox.add(look(11), label);
    await settle();
    expect(held()).toEqual([
      ["waiting", id(10)],
      ["waiting", id(11)],
    ]);
    await pass(5000);
    expect(sentIds()).toEqual([id(10), id(10), id(11)]);
    expect(held()).toEqual([]);
  });

  it("goes out one after the other, in the order in which it was pressed, each for its own collection", async () => {
    let release = () => {};
    answers.mockImplementationOnce(() => new Promise((resolve) => (release = () => resolve(done()))));
    answers.mockImplementation(async () => done());
    [1, 2, 3].forEach((n) => outbox.add(look(n), label));
    await settle();
    expect(answers).toHaveBeenCalledTimes(1);
    expect(answers.mock.calls[0]![1].headers).toMatchObject({ "x-collection": label.collectionId });
    expect(outbox.current().held).toHaveLength(3);
    release();
    await settle();
    expect(sentIds()).toEqual([1, 2, 3].map(id));
    expect(outbox.current()).toMatchObject({ held: [], trouble: null });
    expect(outbox.current().sent).toHaveLength(3);
  });

  it("is there again when the page is opened again, and is sent once", async () => {
    answers.mockRejectedValue(new TypeError("no line"));
    outbox.add(look(1), label);
    await settle();
    answers.mockReset();
    answers.mockImplementation(async () => done());
    await open();
    expect(sentIds()).toEqual([id(1)]);
    await open();
    expect(sentIds()).toEqual([id(1)]);
    expect(outbox.current().held).toEqual([]);
  });

  it("is ready once what was left is read and it is known whose of it to show: before, what is done may seem open", async () => {
    answers.mockRejectedValue(new TypeError("no line"));
    outbox.add(look(1), label);
    await settle();
    for (const first of ["the page", "the store"] as const) {
      vi.clearAllTimers();
      vi.resetModules();
      ({ outbox } = await import("./outbox"));
      const says = () => outbox.at({ id: label.collectionId }, person);
      if (first === "the page") says();
      else {
        outbox.subscribe(() => {});
        await settle();
      }
      expect(outbox.current()).toMatchObject({ ready: false, held: [] });
      if (first === "the page") {
        outbox.subscribe(() => {});
        await settle();
      } else says();
      expect(outbox.current()).toMatchObject({ ready: true, held: [{ id: expect.any(String) as string }] });
    }
  });

  it("waits longer and longer while nothing gets through, and goes at once when the connection is back", async () => {
    answers.mockRejectedValue(new TypeError("no line"));
    outbox.add(look(1), label);
    await settle();
    expect(outbox.current()).toMatchObject({ trouble: "line", held: [{ state: "waiting" }] });
    await pass(1000);
    expect(answers).toHaveBeenCalledTimes(2);
    await pass(1000);
    expect(answers).toHaveBeenCalledTimes(2);
    await pass(1100);
    expect(answers).toHaveBeenCalledTimes(3);
    answers.mockImplementation(async () => done());
    online();
    await settle();
    expect(outbox.current()).toMatchObject({ trouble: null, held: [] });
  });

  it("tells a line that is cut from a server in trouble and from somebody else who answers", async () => {
    answers.mockImplementationOnce(async () => new Response("<html>sign in to this network</html>"));
    answers.mockImplementationOnce(async () => new Response("<html>bad gateway</html>", { status: 502 }));
    answers.mockImplementation(async () => done());
    outbox.add(look(1), label);
    await settle();
    expect(outbox.current()).toMatchObject({ trouble: "stranger", held: [{ state: "waiting" }] });
    await pass(1000);
    expect(outbox.current()).toMatchObject({ trouble: "server", held: [{ state: "waiting" }] });
    await pass(2100);
    expect(outbox.current()).toMatchObject({ trouble: null, held: [], sent: [{}] });
  });

  it("what is refused is kept, with what it is about and why, over the page's end; the others go on", async () => {
    answers.mockImplementationOnce(async () => refused("This plant is archived."));
    answers.mockImplementationOnce(async () => new Response("", { status: 413 }));
    answers.mockImplementation(async () => done());
    [1, 2, 3].forEach((n) => outbox.add(look(n), label));
    await settle();
    expect(outbox.current().sent).toHaveLength(1);
    await open();
    expect(outbox.current().held.map((one) => [one.state, one.about, one.message])).toEqual([
      ["refused", "L04 Lemon", "This plant is archived."],
      ["refused", "L04 Lemon", "It is too large."],
    ]);
    // One is tried again, since the plant has been brought back; the other is dropped.
    const [first, second] = outbox.current().held;
    outbox.again(first!.id);
    outbox.drop(second!.id);
    await settle();
    expect(outbox.current().held).toEqual([]);
    expect(sentIds().at(-1)).toBe(id(1));
    await open();
    expect(outbox.current().held).toEqual([]);
  });

  it("what the server has trouble with time and again lets the others pass, and is tried now and then", async () => {
    answers.mockImplementation(async (_url, init) =>
      (init.body as string).includes(`"id":"${id(1)}"`) ? troubled() : done(),
    );
    [1, 2].forEach((n) => outbox.add(look(n), label));
    await settle();
    expect(held()).toEqual([
      ["waiting", id(1)],
      ["waiting", id(2)],
    ]);
    await pass(20_000);
    expect(held()).toEqual([["stuck", id(1)]]);
    answers.mockImplementation(async () => done());
    await pass(61_000);
    expect(held()).toEqual([]);
  });

  it("a server with trouble of its own does not make everything stuck", async () => {
    answers.mockImplementation(async () => troubled());
    [1, 2, 3].forEach((n) => outbox.add(look(n), label));
    await pass(60_000);
    expect(held().filter(([state]) => state === "stuck")).toHaveLength(1);
    expect(outbox.current().trouble).toBe("server");
    answers.mockImplementation(async () => done());
    online();
    await pass(70_000);
    expect(held()).toEqual([]);
  });

  it("what has not been sent is taken back by forgetting it; what is on its way is taken back after it", async () => {
    let release = () => {};
    answers.mockImplementationOnce(() => new Promise((resolve) => (release = () => resolve(done()))));
    answers.mockImplementation(async () => done());
    [1, 2].forEach((n) => outbox.add(look(n), label));
    await settle();
    outbox.add(takeBack(1), label);
    outbox.add(takeBack(2), label);
    release();
    await settle();
    expect(answers.mock.calls.map(([, init]) => (JSON.parse(init.body as string) as SentLater).kind)).toEqual([
      "look",
      "void",
    ]);
    expect(sentIds()).toEqual([id(1), id(1)]);
  });

  it("what was on its way and got no answer may have arrived: what takes it back goes behind it", async () => {
    answers.mockRejectedValue(new TypeError("the answer is lost"));
    outbox.add(look(1), label);
    await settle();
    outbox.add(takeBack(1), label);
    await settle();
    // The page is closed before any answer comes.
    answers.mockReset();
    answers.mockImplementation(async () => done());
    await open();
    expect(sentIds()).toEqual([id(1), id(1)]);
    expect(JSON.parse(answers.mock.calls.at(-1)![1].body as string)).toMatchObject({ kind: "void" });
    expect(outbox.current().held).toEqual([]);
  });

  it("what the server had trouble with after all may be there: dropped, it is struck out behind", async () => {
    answers.mockImplementation(async (_url, init) =>
      (init.body as string).includes('"kind":"void"') ? done() : troubled(),
    );
    outbox.add(look(1), label);
    outbox.add(takeBack(7), label);
    await pass(30_000);
    const stuck = outbox.current().held.find(({ state }) => state === "stuck")!;
    outbox.drop(stuck.id);
    answers.mockImplementation(async () => done());
    await pass(62_000);
    expect(sentIds().slice(-2)).toEqual([id(1), id(1)]);
    expect(outbox.current().held).toEqual([]);
  });

  it("what was refused and taken back is gone with what takes it back", async () => {
    let answer = (_response: Response) => {};
    answers.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
    outbox.add(look(1), label);
    await settle();
    outbox.add(takeBack(1), label);
    answer(refused("This lies in the future."));
    await settle();
    expect(answers).toHaveBeenCalledTimes(1);
    expect(outbox.current().held).toEqual([]);
  });

  it("what another tab has taken back before it was sent does not go out from this one", async () => {
    answers.mockRejectedValue(new TypeError("no line"));
    // Nothing goes out at first: nobody has said who is at the page.
    vi.resetModules();
    const { outbox: first } = await import("./outbox");
    first.subscribe(() => {});
    await settle();
    first.add(look(1), label);
    await settle();
    vi.resetModules();
    const { outbox: second } = await import("./outbox");
    second.subscribe(() => {});
    await settle();
    first.add(takeBack(1), label);
    await settle();
    answers.mockImplementation(async () => done());
    second.at({ id: label.collectionId }, person);
    await settle();
    expect(answers).not.toHaveBeenCalled();
    expect(second.current().held).toEqual([]);
  });

  it("goes out for whoever pressed it only; what another has pressed here is neither shown nor sent", async () => {
    const [ana, bo] = [id(801), id(802)];
    answers.mockRejectedValue(new TypeError("no line"));
    person = { who: ana, records: true };
    await open();
    outbox.add(look(1), label);
    await settle();
    person = { who: bo, records: false };
    answers.mockReset();
    answers.mockImplementation(async () => done());
    await open();
    await pass(40_000);
    expect(answers).not.toHaveBeenCalled();
    expect(outbox.current().held).toEqual([]);
    outbox.add(look(2), label);
    await settle();
    expect(sentIds()).toEqual([id(2)]);
    expect(answers.mock.calls[0]![1].headers).toMatchObject({ "x-who": bo });
    person = { who: ana, records: true };
    await open();
    expect(sentIds()).toEqual([id(2), id(1)]);
    expect(answers.mock.calls[1]![1].headers).toMatchObject({ "x-who": ana });
  });

  it("where somebody else has come in meanwhile the server says so, and it waits", async () => {
    answers.mockImplementationOnce(async () => json({ ok: false, another: true, problems: [] }, 422));
    answers.mockImplementation(async () => done());
    outbox.add(look(1), label);
    await settle();
    expect(outbox.current()).toMatchObject({ trouble: "another", held: [{ state: "waiting" }] });
    await pass(1500);
    expect(outbox.current().held).toEqual([]);
  });

  it("what was pressed while nobody had an account is not sent by somebody who only tends", async () => {
    answers.mockRejectedValue(new TypeError("no line"));
    outbox.add(look(1), label);
    await settle();
    answers.mockReset();
    answers.mockImplementation(async () => done());
    person = { who: id(803), records: false };
    await open();
    expect(answers).not.toHaveBeenCalled();
    person = { who: id(804), records: true };
    await open();
    expect(sentIds()).toEqual([id(1)]);
  });

  it("taken back already is taken back; what cannot be taken back is told", async () => {
    answers.mockImplementationOnce(async () => refused("This is already struck out.", { done: true }));
    answers.mockImplementation(async () => refused("This no longer exists. Go back and choose again."));
    outbox.add(takeBack(7), label);
    outbox.add(takeBack(8), label);
    await settle();
    expect(outbox.current()).toMatchObject({ sent: [{}], held: [{ state: "refused" }] });
  });

  it("a photo waits for its look, goes to it as it is, and is not held in memory", async () => {
    answers.mockImplementationOnce(async () => refused("This lies in the future."));
    answers.mockImplementation(async () => done());
    const photo = new Blob(["picture"]);
    outbox.add(look(1), label);
    outbox.addPhoto({ id: id(50), lookId: id(1) }, photo, label);
    await settle();
    expect(answers).toHaveBeenCalledTimes(1);
    expect(JSON.stringify(outbox.current())).not.toContain("picture");
    outbox.again(outbox.current().held[0]!.id);
    await settle();
    const [url, init] = answers.mock.calls.at(-1)!;
    expect(url).toBe(`/looks/${id(1)}/photos/${id(50)}`);
    expect(await (init.body as Blob).text()).toBe("picture");
    expect(outbox.current().held).toEqual([]);
  });

  it("in a browser that keeps nothing it is kept as long as the page lives, and the page says so", async () => {
    vi.stubGlobal("indexedDB", undefined);
    await open();
    answers.mockRejectedValue(new TypeError("no line"));
    outbox.add(look(1), label);
    outbox.addPhoto({ id: id(50), lookId: id(1) }, new Blob(["picture"]), label);
    await settle();
    expect(outbox.current()).toMatchObject({ unkept: true, held: [{}, {}] });
    answers.mockImplementation(async () => done());
    online();
    await settle();
    expect(outbox.current().held).toEqual([]);
  });

  it("what an earlier version left is carried over: its wall times, its photos, what it had been refused", async () => {
    globalThis.indexedDB = new IDBFactory();
    const old = await openDB("wary-petal", 1, {
      upgrade: (db) => void db.createObjectStore("entries", { keyPath: "id" }),
    });
    await old.put("entries", { id: id(61), deed: look(1, "2026-11-24T18:00") });
    await old.put("entries", { id: id(62), deed: look(2, "2026-11-24T18:05"), message: "This plant is archived." });
    const photo = new Blob(["picture"]);
    await old.put("entries", { id: id(63), deed: { kind: "photo", input: { id: id(50), lookId: id(1), photo } } });
    old.close();
    answers.mockImplementation(async () => done());
    vi.resetModules();
    ({ outbox } = await import("./outbox"));
    outbox.at({ id: id(901) }, { who: "", records: true });
    outbox.subscribe(() => {});
    await settle();
    const [[, first]] = answers.mock.calls as [[string, RequestInit]];
    // It says of which shape it is; the server knows what that meant.
    expect(JSON.parse(first.body as string)).toMatchObject({ input: { at: "2026-11-24T18:00" } });
    expect(first.headers).toMatchObject({ "x-collection": id(901), "x-shape": "1" });
    expect(await (answers.mock.calls[1]![1].body as Blob).text()).toBe("picture");
    expect(held()).toEqual([["refused", id(2)]]);
  });
});
