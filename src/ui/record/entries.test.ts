import { describe, expect, it } from "vitest";
import { day } from "@/core/climate/days";
import type { Look, Placement, Treatment } from "@/core/facts/records";
import { recordEntries } from "./entries";

const at = (text: string) => ({ at: new Date(`${text}Z`), day: day(text.slice(0, 10)) });
const look = (id: string, text: string, over: Partial<Look> = {}): Look => ({
  id,
  plantId: "p",
  ...at(text),
  tool: "lamp",
  spots: ["axil", "newLeaf"],
  turned: true,
  walkId: null,
  naming: null,
  note: "",
  finds: [],
  voidReason: null,
  ...over,
});
const placement: Placement = {
  id: "0001",
  plantId: "p",
  placeId: "s",
  placeName: "Sill",
  placeKind: "shelf",
  ...at("2026-11-01T10:00"),
  voidReason: null,
};
const treatment: Treatment = {
  id: "0004",
  caseId: "c",
  plantId: "p",
  stepId: null,
  mix: "soapMild",
  technique: "spray",
  volumeMl: 60,
  spots: ["axil"],
  ...at("2026-11-03T19:00"),
  note: "Dripped a little.",
  voidReason: null,
};
const none = { placements: [], looks: [], treatments: [], plans: [], closings: [], cases: [], skips: [] };

describe("a record as lines", () => {
  it("the newest first, and of one minute the one written down last", () => {
    const looks = [
      look("0002", "2026-11-02T18:00"),
      look("0003", "2026-11-02T18:00"),
      look("0005", "2026-11-04T18:00"),
    ];
    const entries = recordEntries({ ...none, placements: [placement], looks, treatments: [treatment] });
    expect(entries.map((entry) => entry.id)).toEqual(["0005", "0004", "0003", "0002", "0001"]);
  });

  it("tells what was found, how many, and whether they were killed on the spot", () => {
    const find = {
      id: "f",
      caseId: "c",
      pest: "mealybug",
      severity: "light",
      count: 4,
      removed: true,
      spots: [],
      stages: [],
    } as const;
    const uncounted = { ...find, id: "g", pest: "thrips", count: null, removed: false } as const;
    const [entry] = recordEntries({ ...none, looks: [look("1", "2026-11-02T18:00", { finds: [find, uncounted] })] });
    expect(entry).toMatchObject({
      what: "Found: Mealybugs, 4 live, killed on the spot; Thrips, light: 3–10",
      details: ["Lamp: leaf axils, stem joints; newest leaf"],
    });
  });

  it("tells where and which stages, which side was not seen, the signs, and why a plant was left out", () => {
    const find = { id: "f", caseId: "c", pest: "mealybug", severity: "light", count: 4, removed: false } as const;
    const found = look("1", "2026-11-02T18:00", {
      turned: false,
      finds: [{ ...find, spots: ["axil"], stages: ["egg", "adult"] }],
      naming: { present: ["cottonTufts"], absent: ["ants"], by: "keeper", likeliest: "rootMealybug" },
    });
    const skip = { id: "2", walkId: "w", plantId: "p", reason: "outOfReach", ...at("2026-11-03T18:00") } as const;
    const [first, second] = recordEntries({ ...none, looks: [found], skips: [{ ...skip, voidReason: null }] });
    expect(first).toMatchObject({ kind: "skip", what: "Left out on a walk: out of reach" });
    expect(second).toMatchObject({
      what: "Found: Mealybugs, 4 live, eggs, adults, on leaf axils, stem joints",
      details: [
        "Lamp: leaf axils, stem joints; newest leaf; one side only",
        "Named by you; the signs spoke for root mealybugs. There: White cottony tufts in joints or on the underside. Not there: Ants attending",
      ],
    });
  });

  it("a name given without looking for signs is the keeper's own, and nothing spoke for anything", () => {
    const own = look("1", "2026-11-02T18:00", {
      naming: { present: [], absent: [], by: "keeper", likeliest: null },
    });
    const [entry] = recordEntries({ ...none, looks: [own] });
    expect(entry!.details).toContain("Named by you");
  });

  it("keeps what was struck out, with the reason, and leaves out empty notes", () => {
    const struck = look("1", "2026-11-02T18:00", { voidReason: "another plant" });
    const [first, second] = recordEntries({ ...none, looks: [struck], treatments: [treatment] });
    expect(first).toMatchObject({
      kind: "treatment",
      details: [expect.stringContaining("60 mL"), "Dripped a little."],
    });
    expect(second).toMatchObject({ what: "Looked: nothing found", voidReason: "another plant" });
    expect(second!.details).toHaveLength(1);
  });
});
