import { describe, expect, it } from "vitest";
import { handledAfter, type Handling } from "../handling";

const minute = (n: number) => new Date(Date.UTC(2026, 8, 1, 18, n));
const handled = (plantId: string | null, n: number, keeper = "Ana"): Handling => ({ plantId, keeper, at: minute(n) });
const told = (handlings: readonly Handling[], sick: readonly string[] = ["sick"]) =>
  handledAfter(handlings, (id) => sick.includes(id)).map(({ plantId, sourceId }) => `${plantId} after ${sourceId}`);

// Common practice, no source: everything rides on hands and tools.
describe("what is handled after an infested plant", () => {
  it("within half an hour, by the same keeper, nothing cleaned between", () => {
    expect(told([handled("sick", 0), handled("a", 5), handled("b", 30), handled("c", 31)])).toEqual([
      "a after sick",
      "b after sick",
    ]);
  });

  it("a cleaning ends it; another keeper's does not", () => {
    expect(told([handled("sick", 0), handled(null, 2), handled("a", 5)])).toEqual([]);
    expect(told([handled("sick", 0), handled(null, 2, "Rui"), handled("a", 5)])).toEqual(["a after sick"]);
    expect(told([handled("sick", 0), handled("a", 5, "Rui")])).toEqual([]);
  });

  it("a plant does not give it to itself, and each source counts", () => {
    expect(told([handled("sick", 0), handled("sick", 3), handled("ill", 4), handled("a", 6)], ["sick", "ill"])).toEqual(
      ["ill after sick", "a after sick", "a after ill"],
    );
  });
});
