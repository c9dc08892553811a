import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { newsOf, thisPage } from "./live";

describe("news of what others did", () => {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
  });
  const page = (ask: () => Promise<unknown> = () => Promise.resolve()) => {
    const readAnew = vi.fn();
    return { readAnew, ...newsOf("1", ask, readAnew) };
  };
  const pass = () => vi.advanceTimersByTimeAsync(1000);

  it("has the page read anew once for all that comes together", async () => {
    const { hear, readAnew } = page();
    hear({ mark: "2" });
    hear({ mark: "3" });
    await pass();
    expect(readAnew).toHaveBeenCalledTimes(1);
  });

  it("is none where it is known already, or was done on this very page", async () => {
    const { hear, readAnew } = page();
    hear({ mark: "1" });
    hear({ mark: "2", from: thisPage });
    hear({ mark: "2" });
    await pass();
    expect(readAnew).not.toHaveBeenCalled();
  });

  it("without a connection leaves the page as it stands, and is news again when it comes next", async () => {
    let line = false;
    const { hear, readAnew } = page(() => (line ? Promise.resolve() : Promise.reject(new Error("no line"))));
    hear({ mark: "2" });
    await pass();
    expect(readAnew).not.toHaveBeenCalled();
    line = true;
    hear({ mark: "2" });
    await pass();
    expect(readAnew).toHaveBeenCalledTimes(1);
  });

  it("is dropped once the page is left, also while the server is being asked", async () => {
    let answer = () => {};
    const { hear, leave, readAnew } = page(() => new Promise<void>((resolve) => (answer = resolve)));
    hear({ mark: "2" });
    await pass();
    leave();
    answer();
    await pass();
    expect(readAnew).not.toHaveBeenCalled();
  });
});
