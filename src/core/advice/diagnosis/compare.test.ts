import { describe, expect, it } from "vitest";
import { recordOfSigns, wilson } from "./compare";

describe("the record of signs beside the table", () => {
  const look = (pest: "spiderMite" | null, present: boolean) => ({
    naming: present ? { present: ["webbing" as const], absent: [] } : { present: [], absent: ["webbing" as const] },
    pests: pest ? [pest] : [],
  });

  it("counts what was looked for, with each pest and with none, and leaves out finds of several", () => {
    const records = recordOfSigns([
      look("spiderMite", true),
      look("spiderMite", false),
      look(null, false),
      { naming: { present: ["webbing"], absent: [] }, pests: ["spiderMite", "thrips"] },
    ]);
    expect(records).toEqual([
      { sign: "webbing", pest: "spiderMite", present: 1, lookedFor: 2, expected: 0.3, differs: false },
      { sign: "webbing", pest: null, present: 0, lookedFor: 1, expected: 0.05, differs: false },
    ]);
  });

  it("says so when the record speaks against the table", () => {
    const many = Array.from({ length: 20 }, () => look("spiderMite", true));
    expect(recordOfSigns(many)[0]).toMatchObject({ present: 20, differs: true });
    expect(recordOfSigns([])).toEqual([]);
  });

  it.each([
    // Source: R. G. Newcombe, Statistics in Medicine 17 (1998) 857–872, table I, method 3 (from memory).
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])("the interval of %i in %i", (hits, n, low, high) => {
    const [l, h] = wilson(hits, n);
    expect(l).toBeCloseTo(low, 4);
    expect(h).toBeCloseTo(high, 4);
  });

  it("nothing counted, nothing known", () => {
    expect(wilson(0, 0)).toEqual([0, 1]);
    expect(() => wilson(3, 2)).toThrow(RangeError);
  });
});
