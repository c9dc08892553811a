import { readFileSync } from "node:fs";
import path from "node:path";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { countedOf } from "./span";
import { experienceFileSchema, readExperience, type ExperienceFile } from "../../record/format/experienceFile";
import { experienceOf, mergeExperiences, summedUp, toldElsewhere } from "./experience";

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
  worth: {
    hands: [{ technique: "spray" as const, cases: closed, worth: [closed / 4, closed / 2, closed / 4] as const }],
    eyes: [{ tool: "eye" as const, looks: 5, precision: 2, pull: -1 }],
    arrivals: { plants: 10 * closed, showed: closed },
    passing: { looks: 10 * closed, precision: closed / 2, pull: closed / 4 },
  },
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
    expect(Object.keys(mine.from[0]!)).toEqual([
      "keeper",
      "cases",
      "courses",
      "sights",
      "closings",
      "hands",
      "eyes",
      "arrivals",
      "passing",
    ]);
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
    ["more cases in hands than there were", (f) => Object.assign(f.from[0]!.hands[0]!, { cases: 99 }), "from[0].hands"],
    [
      "hands worth more than their cases",
      (f) => Object.assign(f.from[0]!.hands[0]!, { worth: [9, 9, 9] }),
      "from[0].hands[0]",
    ],
    [
      "a technique twice",
      (f) => f.from[0]!.hands.push({ ...f.from[0]!.hands[0]!, cases: 0, worth: [0, 0, 0] }),
      "from[0].hands[1]",
    ],
    [
      "looks worth more than they can be",
      (f) => Object.assign(f.from[0]!.eyes[0]!, { precision: 61 }),
      "from[0].eyes[0]",
    ],
    ["an eye that is none", (f) => Object.assign(f.from[0]!.eyes[0]!, { pull: -5 }), "from[0].eyes[0]"],
    ["a tool twice", (f) => f.from[0]!.eyes.push(f.from[0]!.eyes[0]!), "from[0].eyes[1]"],
    ["more showed than came", (f) => Object.assign(f.from[0]!.arrivals, { showed: 51 }), "from[0].arrivals"],
    [
      "passing worth more looks than there were",
      (f) => Object.assign(f.from[0]!.passing, { precision: 51 }),
      "from[0].passing",
    ],
    ["a passing that is none", (f) => Object.assign(f.from[0]!.passing, { pull: 8 }), "from[0].passing"],
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

  it("is read as it was first written, without hands, eyes and arrivals, and written anew with them", () => {
    const { hands: _hands, eyes: _eyes, arrivals: _arrivals, ...part } = mine.from[0]!;
    const read = readExperience(JSON.stringify({ ...mine, version: 1, from: [part] }));
    expect(read.ok && read.file.from[0]).toMatchObject({ hands: [], eyes: [], arrivals: { plants: 0, showed: 0 } });
    // Of the same keeper the one that tells more counts.
    if (read.ok)
      for (const files of [
        [read.file, mine],
        [mine, read.file],
      ])
        expect(mergeExperiences(files)).toEqual(mine);
  });

  it("is read as it was written second, without eyes, which were taken for better than they are, and without passing", () => {
    const { passing: _passing, ...part } = mine.from[0]!;
    const read = readExperience(JSON.stringify({ ...mine, version: 2, from: [part] }));
    if (!read.ok) throw new Error("it was refused");
    const { version, from } = mergeExperiences([read.file]);
    expect(version).toBe(3);
    expect(from[0]).toEqual({ ...part, eyes: [], passing: { looks: 0, precision: 0, pull: 0 } });
    for (const files of [
      [read.file, mine],
      [mine, read.file],
    ])
      expect(mergeExperiences(files)).toEqual(mine);
  });

  it("tells where others begin: sums over all keepers but oneself", () => {
    const told = toldElsewhere(mergeExperiences([mine, other]), keeper(9))!;
    expect(told).toEqual({
      keepers: 2,
      hands: [{ technique: "spray", cases: 11, worth: [2.75, 5.5, 2.75] }],
      eyes: [{ tool: "eye", looks: 10, precision: 4, pull: -2 }],
      arrivals: { plants: 110, showed: 11 },
      passing: { looks: 110, precision: 5.5, pull: 2.75 },
    });
    expect(toldElsewhere(mergeExperiences([mine, other]), keeper(1))).toMatchObject({
      keepers: 1,
      arrivals: { plants: 60 },
    });
    expect(toldElsewhere(mine, keeper(1))).toBeNull();
  });

  it("is read by others though a closing has outlasted its case", () => {
    const file = experienceOf(keeper(3), { ...taught(2, 5), cases: 0, courses: [], sights: [], closings: [] });
    expect(readExperience(JSON.stringify(file))).toEqual({ ok: true, file });
  });

  it("reads the example", () => {
    const example = path.resolve(import.meta.dirname, "../../../../docs/experience-example.json");
    const read = readExperience(readFileSync(example, "utf8"));
    expect(read.ok && summedUp(read.file)).toMatchObject({ keepers: 2, cases: 23 });
  });

  it("is published as the schema that reads it", () => {
    const file = path.resolve(import.meta.dirname, "../../../../docs/experience-file.schema.json");
    expect(JSON.parse(readFileSync(file, "utf8"))).toEqual(JSON.parse(JSON.stringify(experienceFileSchema())));
  });
});
