import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Kept } from "./outbox";

const walk = "019b0000-0000-7000-8000-000000000001";
const plant = "019b0000-0000-7000-8000-000000000002";
const look = (n: number): Kept => ({
  kind: "look",
  input: {
    id: `019b0000-0000-7000-8000-00000000010${n}`,
    plantId: plant,
    walkId: walk,
    at: "2026-11-24T18:00",
    tool: "lamp",
    spots: ["axil"],
    note: "",
    finds: [],
  },
});
const takeBack: Kept = { kind: "void", input: { kind: "look", factId: plant, reason: "?" } };
const json = (body: object, status = 200) => new Response(JSON.stringify(body), { status });
const done = () => json({ ok: true, value: {} });
const refused = (message: string) => json({ ok: false, problems: [{ path: "", message }] });

/** Every test has an outbox of its own, in a page without a store: it keeps things as long as the page lives. */
describe("what is kept until it is sent", () => {
  const answers = vi.fn<(url: string, init: RequestInit) => Promise<Response>>();
  let online = () => {};
  let outbox: typeof import("./outbox").outbox;
  beforeEach(async () => {
    vi.resetModules();
    vi.useFakeTimers();
    answers.mockReset();
    vi.stubGlobal("fetch", answers);
    vi.stubGlobal("addEventListener", (_name: string, listener: () => void) => (online = listener));
    vi.spyOn(console, "error").mockImplementation(() => {});
    ({ outbox } = await import("./outbox"));
    outbox.subscribe(() => {});
    await vi.advanceTimersByTimeAsync(0);
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
    vi.restoreAllMocks();
  });
  const settle = () => vi.advanceTimersByTimeAsync(0);
  const sentIds = () =>
    answers.mock.calls.map(([, init]) => (JSON.parse(init.body as string) as { input: { id: string } }).input.id);

  it("goes out one after the other, in the order in which it was pressed", async () => {
    let release = () => {};
    answers.mockImplementationOnce(() => new Promise((resolve) => (release = () => resolve(done()))));
    answers.mockImplementation(async () => done());
    [1, 2, 3].forEach((n) => outbox.add(look(n)));
    await settle();
    expect(answers).toHaveBeenCalledTimes(1);
    expect(outbox.current().waiting).toHaveLength(3);
    release();
    await settle();
    expect(sentIds()).toEqual([1, 2, 3].map((n) => `019b0000-0000-7000-8000-00000000010${n}`));
    expect(outbox.current()).toMatchObject({ waiting: [], refused: [], cutOff: false });
    expect(outbox.current().sent).toHaveLength(3);
  });

  it("waits longer and longer while nothing gets through, and goes at once when the connection is back", async () => {
    answers.mockRejectedValue(new TypeError("no line"));
    outbox.add(look(1));
    await settle();
    expect(outbox.current()).toMatchObject({ cutOff: true, waiting: [{}] });
    await vi.advanceTimersByTimeAsync(1000);
    expect(answers).toHaveBeenCalledTimes(2);
    await vi.advanceTimersByTimeAsync(1000);
    expect(answers).toHaveBeenCalledTimes(2);
    await vi.advanceTimersByTimeAsync(1000);
    expect(answers).toHaveBeenCalledTimes(3);
    answers.mockImplementation(async () => done());
    online();
    await settle();
    expect(outbox.current()).toMatchObject({ cutOff: false, waiting: [] });
  });

  it("keeps what the server has trouble with, or what is no answer of the server's at all", async () => {
    answers.mockImplementationOnce(async () => json({ ok: false, retry: true, problems: [] }, 503));
    answers.mockImplementationOnce(async () => new Response("<html>sign in to this network</html>"));
    answers.mockImplementation(async () => done());
    outbox.add(look(1));
    await settle();
    expect(outbox.current().waiting).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(1000);
    expect(outbox.current().waiting).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(2000);
    expect(outbox.current()).toMatchObject({ waiting: [], sent: [{}] });
  });

  it("tells what the server would not take, goes on with the rest, and forgets it when it has been seen", async () => {
    answers.mockImplementationOnce(async () => refused("This plant is archived."));
    answers.mockImplementationOnce(async () => new Response("Too large.", { status: 413 }));
    answers.mockImplementation(async () => done());
    [1, 2, 3].forEach((n) => outbox.add(look(n)));
    await settle();
    const state = outbox.current();
    expect(state.refused.map((one) => one.message)).toEqual([
      "This plant is archived.",
      "The server refused it (413).",
    ]);
    expect(state.sent).toHaveLength(1);
    state.refused.forEach((one) => outbox.dismiss(one.id));
    expect(outbox.current().refused).toEqual([]);
  });

  it("what cannot be taken back because it never was there is taken back", async () => {
    answers.mockImplementation(async () => refused("This is no longer there."));
    outbox.add(takeBack);
    await settle();
    expect(outbox.current()).toMatchObject({ refused: [], waiting: [], sent: [{}] });
  });

  it("a photo goes to its look as it is", async () => {
    answers.mockImplementation(async () => done());
    const photo = new Blob(["picture"]);
    outbox.add({ kind: "photo", input: { id: plant, lookId: walk, photo } });
    await settle();
    expect(answers).toHaveBeenCalledWith(`/looks/${walk}/photos/${plant}`, { method: "PUT", body: photo });
  });
});
