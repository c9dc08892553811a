import { readFileSync } from "node:fs";
import path from "node:path";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { countedOf } from "./span";
import {
  experienceFileSchema,
  experienceOf,
  mergeExperiences,
  readExperience,
  summedUp,
  type ExperienceFile,
} from "./experience";

const keeper = (n: number) => n.toString(16).padStart(32, "0");
const oil = { remedy: "oil", technique: "spray" } as const;
const taught = (ended: number, closed: number, cases = closed + 1) => ({
  courses: [
    {
      ...{ pest: "spiderMite" as const, dose: oil, ended: countedOf(ended, closed) },
      ...{ returned: 0, open: 1, treatments: 3, days: 12 },
    },
  ],
  sights: [{ tool: "eye" as const, saw: countedOf(1, 5) }],
  closings: [{ from: 0.95, until: 0.99, told: 0.97, came: countedOf(ended, closed), off: null }],
  cases,
});
const mine = experienceOf(keeper(1), taught(4, 5));
const other = experienceOf(keeper(2), taught(2, 6));

describe("experience that is handed on", () => {
  it("tells nothing of a can: each of its remedies would be said to have ended what both did", () => {
    const { courses, ...rest } = taught(4, 5);
    const both = courses.map((one) => ({
      ...one,
      dose: { remedy: "soap", technique: "spray", mix: "soapAlcohol" } as const,
    }));
    expect(experienceOf(keeper(1), { ...rest, courses: both }).from[0]!.courses).toEqual([]);
  });

  it("holds counts and nothing else, and is read as it was written", () => {
    expect(Object.keys(mine.from[0]!)).toEqual(["keeper", "cases", "courses", "sights", "closings"]);
    expect(readExperience(JSON.stringify(mine))).toEqual({ ok: true, file: mine });
    expect(JSON.stringify(mine)).not.toMatch(/20\d\d-|"name"|"place"|"seller"|"note"/);
  });

  it("of several keepers adds up; one's own twice, or an older one, counts once", () => {
    const both = mergeExperiences([mine, other, mine, experienceOf(keeper(1), taught(1, 2))]);
    expect(both.from.map((part) => part.keeper)).toEqual([keeper(1), keeper(2)]);
    const { keepers, cases, courses, sights } = summedUp(both);
    expect([keepers, cases]).toEqual([2, 13]);
    expect(courses).toMatchObject([{ pest: "spiderMite", dose: oil, ended: { hits: 6, of: 11 } }]);
    expect(sights).toMatchObject([{ tool: "eye", saw: { hits: 2, of: 10 } }]);
    expect(mergeExperiences([mine])).toEqual(mine);
  });

  it("comes to the same in whatever order and grouping it is merged", () => {
    // Among them some of one keeper that know of as many cases and differ.
    const files = Array.from({ length: 6 }, (_, i) => experienceOf(keeper((i % 2) + 1), taught(i % 3, 5 - (i % 3), 9)));
    const all = mergeExperiences(files);
    fc.assert(
      fc.property(
        fc.shuffledSubarray(files, { minLength: files.length }),
        fc.integer({ min: 0, max: 5 }),
        (order, cut) => {
          const parts = [order.slice(0, cut), order.slice(cut)].filter((some) => some.length > 0).map(mergeExperiences);
          expect(mergeExperiences(parts)).toEqual(all);
        },
      ),
    );
  });

  it.each<[string, (file: ExperienceFile) => unknown, string]>([
    ["more ended than closed", (f) => Object.assign(f.from[0]!.courses[0]!, { ended: 9 }), "from[0].courses[0]"],
    ["more closed than cases", (f) => Object.assign(f.from[0]!, { cases: 2 }), "from[0].courses"],
    ["more seen than there was", (f) => Object.assign(f.from[0]!.sights[0]!, { saw: 9 }), "from[0].sights[0]"],
    ["more came than was told", (f) => Object.assign(f.from[0]!.closings[0]!, { came: 9 }), "from[0].closings[0]"],
    ["told outside its bounds", (f) => Object.assign(f.from[0]!.closings[0]!, { told: 0.2 }), "from[0].closings[0]"],
    ["a keeper twice", (f) => f.from.push(f.from[0]!), "from[1].keeper"],
    ["a name of somebody", (f) => Object.assign(f.from[0]!, { name: "Ann" }), "from[0].name"],
    ["a keeper that is none", (f) => Object.assign(f.from[0]!, { keeper: "Ann" }), "from[0].keeper"],
    ["half a case", (f) => Object.assign(f.from[0]!, { cases: 6.5 }), "from[0].cases"],
  ])("is refused where it cannot be: %s", (_, spoil, where) => {
    const bad = structuredClone(mine);
    spoil(bad);
    const read = readExperience(JSON.stringify(bad));
    expect(read.ok).toBe(false);
    expect(!read.ok && read.problems.map(({ path: at }) => at)).toContain(where);
  });

  it("is published as the schema that reads it", () => {
    const file = path.resolve(import.meta.dirname, "../../../../docs/experience-file.schema.json");
    expect(JSON.parse(readFileSync(file, "utf8"))).toEqual(JSON.parse(JSON.stringify(experienceFileSchema())));
  });
});
