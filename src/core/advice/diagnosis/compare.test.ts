import { describe, expect, it } from "vitest";
import { recordOfSigns } from "./compare";

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
    expect(records).toMatchObject([
      { sign: "webbing", pest: "spiderMite", present: { hits: 1, of: 2 }, expected: 0.3 },
      { sign: "webbing", pest: null, present: { hits: 0, of: 1 }, expected: 0.05 },
    ]);
  });

  it("says so when the record speaks against the table", () => {
    const many = Array.from({ length: 20 }, () => look("spiderMite", true));
    expect(recordOfSigns(many)[0]).toMatchObject({ present: { hits: 20 }, differs: true });
    expect(recordOfSigns([...many, ...many].map((_, i) => look("spiderMite", i < 12)))[0]!.differs).toBe(false);
    // One or two say nothing, however odd they are.
    expect(recordOfSigns([look(null, true), look(null, true)])[0]!.differs).toBe(null);
    expect(recordOfSigns([])).toEqual([]);
  });
});
