import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { suspectIds, type SuspectId } from "../../knowledge/signs/suspects";
import { growthFormIds, type GrowthFormId } from "../../knowledge/plants/growthForms";
import { lookAlikesOf } from "../../knowledge/signs/lookAlikes";
import { informationOf, inQuestion, testsByWorth } from "./expectedInformation";
import { posteriorOf, updated } from "./posterior";
import { nearer, nearnesses, priorsFor, seasonOf, seasons, type Priors } from "./priors";
import {
  canShow,
  columns,
  likelihoodOf,
  likelihoods,
  signIds,
  signs,
  testIds,
  tests,
  type TestId,
  type Observations,
} from "../../knowledge/signs/signs";
import { byChance, verdictOf } from "./verdict";

const somePriors = fc
  .tuple(...suspectIds.map(() => fc.double({ min: 0.001, max: 0.9, noNaN: true })))
  .map((all) => Object.fromEntries(suspectIds.map((pest, i) => [pest, all[i]])) as Priors);
const someSigns = fc.dictionary(fc.constantFrom(...signIds), fc.constantFrom("present" as const, "absent" as const), {
  maxKeys: 8,
}) as fc.Arbitrary<Observations>;
const priors = priorsFor({ form: "trailingVine", meanC: 22, season: "spring", nearby: {} });
const even = Object.fromEntries(suspectIds.map((pest) => [pest, 0.1])) as Priors;

/** The same reckoned the long way: every set of pests with every combination of the observed signs, then the row read off. */
function bruteForce(given: Priors, observed: Observations) {
  const looked = signIds.filter((sign) => observed[sign] !== undefined);
  const row = looked.map((sign) => observed[sign] === "present");
  const joint: { set: SuspectId[]; p: number }[] = [];
  for (let mask = 0; mask < 2 ** suspectIds.length; mask++) {
    const set = suspectIds.filter((_, bit) => Math.floor(mask / 2 ** bit) % 2 === 1);
    let p = 1;
    for (const pest of suspectIds) p *= set.includes(pest) ? given[pest] : 1 - given[pest];
    looked.forEach((sign, i) => {
      let silent = set.length === 0 ? 1 - likelihoodOf(sign, null) : 1;
      for (const pest of set) silent *= 1 - likelihoodOf(sign, pest);
      p *= row[i] ? 1 - silent : silent;
    });
    joint.push({ set, p });
  }
  const total = joint.reduce((sum, one) => sum + one.p, 0);
  const where = (holds: (set: SuspectId[]) => boolean) =>
    joint.filter(({ set }) => holds(set)).reduce((sum, one) => sum + one.p, 0) / total;
  return {
    none: where((set) => set.length === 0),
    of: Object.fromEntries(suspectIds.map((pest) => [pest, where((set) => set.includes(pest))])),
  };
}

describe("what is likely beforehand", () => {
  // Common practice, no source: hoyas have mealybugs more often than others.
  it("a kind that is prone to a pest has it more often, and no other pest", () => {
    const hoya = priorsFor({ form: "trailingVine", meanC: 22, season: "spring", nearby: {}, prone: ["mealybug"] });
    const odds = (p: number) => p / (1 - p);
    expect(odds(hoya.mealybug) / odds(priors.mealybug)).toBeCloseTo(1.6, 9);
    for (const pest of suspectIds) if (pest !== "mealybug") expect(hoya[pest]).toBe(priors[pest]);
  });
});

describe("the table of signs", () => {
  it("has one class for each pest and one for none in every row", () => {
    for (const id of signIds) {
      expect(signs[id].classes, id).toHaveLength(columns.length + 1);
      expect([...signs[id].classes].every((letter) => letter in likelihoods)).toBe(true);
    }
    expect([...columns].toSorted()).toEqual([...suspectIds].toSorted());
  });

  it("says what keepers know (common practice, no source)", () => {
    // Webbing is the mite's alone; a bump that lifts off as a dry shell is armoured scale, not soft.
    expect(suspectIds.filter((pest) => likelihoodOf("webbing", pest) > 0.1)).toEqual(["spiderMite"]);
    expect(likelihoodOf("shellLifts", "armouredScale")).toBeGreaterThan(10 * likelihoodOf("shellLifts", "softScale"));
    expect(canShow("corkyScars", "fern")).toBe(false);
    expect(canShow("corkyScars", "tubercledCactus")).toBe(true);
    expect(canShow("grittyDust", "stemSucculent")).toBe(false);
  });
});

describe("the posterior", () => {
  it("agrees with the joint table reckoned by brute force", () => {
    fc.assert(
      fc.property(somePriors, someSigns, (given, observed) => {
        const fast = posteriorOf(given, observed);
        const slow = bruteForce(given, observed);
        // The table knows these pests and none: what is left of the answer when it is nothing else.
        const listed = 1 - fast.other;
        expect(fast.none / listed).toBeCloseTo(slow.none, 10);
        for (const pest of suspectIds) expect(fast.of[pest] / listed).toBeCloseTo(slow.of[pest]!, 10);
      }),
      { numRuns: 40 },
    );
  });

  it("signs that fit no pest make something else likelier than nothing at all", () => {
    const nothing = posteriorOf(priors, {});
    const absent = posteriorOf(priors, { webbing: "absent", stippling: "absent", cottonTufts: "absent" });
    const odd = posteriorOf(priors, { webbing: "present", shellLifts: "present", cottonTufts: "absent" });
    expect(absent.other / absent.none).toBeLessThan(nothing.other / nothing.none);
    expect(odd.other / odd.none).toBeGreaterThan(nothing.other / nothing.none);
    expect(nothing.none + nothing.other).toBeLessThan(1);
  });

  it("one sign between two hypotheses gives the printed answer", () => {
    // Source: D. M. Eddy, "Probabilistic reasoning in clinical medicine", in Kahneman, Slovic, Tversky (eds.), Judgment under
    // Uncertainty, 1982 (from memory): prior 1 %, sensitivity 79.2 %, false positives 9.6 % → 7.7 %.
    const [after] = updated(Float64Array.of(0.01, 0.99), Float64Array.of(0.792, 0.096), "present");
    expect(after).toBeCloseTo(0.077, 3);
    // The same rule within the whole, all other pests out of the question: q a / (q a + (1 − q) r).
    const tiny = Object.fromEntries(suspectIds.map((pest) => [pest, 1e-12])) as Priors;
    const { of, other } = posteriorOf({ ...tiny, spiderMite: 0.01 }, { stippling: "present" });
    expect(of.spiderMite / (1 - other)).toBeCloseTo((0.01 * 0.9) / (0.01 * 0.9 + 0.99 * 0.05), 6);
    expect(() => updated(Float64Array.of(1), Float64Array.of(0), "present")).toThrow(RangeError);
  });

  it("is a probability, and without signs it is the prior", () => {
    fc.assert(
      fc.property(somePriors, someSigns, (given, observed) => {
        const { sets, of, none, other } = posteriorOf(given, observed);
        expect(sets.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 10);
        for (const p of [...Object.values(of), none, other]) expect(p >= 0 && p <= 1 + 1e-12).toBe(true);
        const before = posteriorOf(given, {});
        for (const pest of suspectIds) expect(before.of[pest] / (1 - before.other)).toBeCloseTo(given[pest], 10);
      }),
    );
    expect(() => posteriorOf({ ...even, thrips: 1 }, {})).toThrow(RangeError);
  });

  it.each<[string, Observations, SuspectId[]]>([
    ["cotton in the joints and a sticky sill", { cottonTufts: "present", stickyFilm: "present" }, ["mealybug"]],
    ["stippling and fine webbing", { stippling: "present", webbing: "present" }, ["spiderMite"]],
    ["silver streaks with black specks", { silverStreaks: "present", blackSpecks: "present" }, ["thrips"]],
    ["meal on the roots, wilting though damp", { rootMeal: "present", wiltsDamp: "present" }, ["rootMealybug"]],
    ["flies from the mix and larvae in it", { smallFlies: "present", mixLarvae: "present" }, ["fungusGnat"]],
    ["pear-shaped insects packed on the buds", { packedInsects: "present" }, ["aphid"]],
    ["bumps whose shell lifts off", { fixedBumps: "present", shellLifts: "present" }, ["armouredScale"]],
    [
      "two pests at once",
      { cottonTufts: "present", alcoholDissolves: "present", smallFlies: "present", cardDarkFlies: "present" },
      ["mealybug", "fungusGnat"],
    ],
  ])("names what a keeper would: %s (common practice, no source)", (_why, observed, pests) => {
    const posterior = posteriorOf(priors, observed);
    const verdict = verdictOf(posterior, inQuestion(posterior, priors), [], 2);
    expect(verdict.code).toBe("named");
    expect(verdict.code === "named" && [...verdict.pests].toSorted()).toEqual(pests.toSorted());
  });

  it("only yellowing is no pest to be sure of, and absent signs speak against one", () => {
    expect(verdictOf(posteriorOf(priors, { yellowing: "present" }), suspectIds, [], 1).code).not.toBe("named");
    const absent = posteriorOf(priors, { stippling: "absent", webbing: "absent", grittyDust: "absent" });
    expect(absent.of.spiderMite).toBeLessThan(priors.spiderMite / 4);
  });

  it("soft and armoured scale on bumps alone: cannot be told apart, until the shell is tried", () => {
    const observed: Observations = { fixedBumps: "present", stickyFilm: "absent" };
    const posterior = posteriorOf({ ...even, softScale: 0.2 }, observed);
    const worth = testsByWorth(posterior, { ...even, softScale: 0.2 }, "trailingVine", observed);
    const about = inQuestion(posterior, { ...even, softScale: 0.2 });
    const verdict = verdictOf(posterior, about, worth, 2);
    expect(verdict).toMatchObject({ code: "alike", test: { test: "scrape" } });
    expect(verdict.code === "alike" && [...verdict.pests].toSorted()).toEqual(["armouredScale", "softScale"]);
    // Where no test is left, none is promised.
    expect(verdictOf(posterior, about, [], 2)).toMatchObject({ code: "alike", test: null });
    // A pest that is only common, whatever the signs, is not called beside one that they speak for.
    const common = { ...even, spiderMite: 0.6 };
    const bumps = posteriorOf(common, observed);
    expect(bumps.of.spiderMite).toBeGreaterThan(0.5);
    expect(verdictOf(bumps, inQuestion(bumps, common), [], 2)).toMatchObject({ code: "alike" });
    expect(() => verdictOf(posterior, [], [], 1)).toThrow(RangeError);
    expect(verdictOf(posterior, about, [], 0)).toEqual({ code: "nothing_yet" });
  });
});

describe("the next test", () => {
  it("never tells less than nothing, and nothing when all is certain", () => {
    fc.assert(
      fc.property(
        somePriors,
        someSigns,
        fc.subarray(signIds, { maxLength: 3 }),
        fc.subarray(suspectIds),
        (given, observed, shown, about) => {
          const posterior = posteriorOf(given, observed);
          expect(informationOf(posterior, shown, about)).toBeGreaterThanOrEqual(0);
        },
      ),
      { numRuns: 60 },
    );
    const sets = new Float64Array(256);
    sets[3] = 1;
    expect(informationOf({ sets }, ["webbing", "stippling"], suspectIds)).toBe(0);
  });

  it("is the fall of entropy that the outcome brings on average", () => {
    // Whether it is nothing at all or something else is not asked.
    const entropy = (all: Float64Array) => {
      const sets = all.slice(0, -1);
      sets[0]! += all.at(-1)!;
      return -sets.reduce((sum, p) => (p > 0 ? sum + p * Math.log2(p) : sum), 0);
    };
    const before = posteriorOf(priors, {});
    const yes = posteriorOf(priors, { webbing: "present" });
    const no = posteriorOf(priors, { webbing: "absent" });
    // The chance of a "yes", from Bayes' rule for the empty set: P(none | yes) = P(yes | none) P(none) / P(yes).
    const pYes = (likelihoodOf("webbing", null) * before.none) / yes.none;
    const fall = entropy(before.sets) - pYes * entropy(yes.sets) - (1 - pYes) * entropy(no.sets);
    expect(informationOf(before, ["webbing"], suspectIds)).toBeCloseTo(fall, 9);
  });

  it("proposes every test that the form can show, best first, and none twice", () => {
    for (const form of growthFormIds) {
      const seen: Observations = { cottonTufts: "present", fixedBumps: "present" };
      const worth = testsByWorth(posteriorOf(priors, seen), priors, form, seen);
      expect(worth.length).toBeGreaterThan(3);
      const now = worth.map((w) => w.bits * (tests[w.test].days > 0 ? 0.5 : 1));
      expect(now).toEqual(now.toSorted((a, b) => b - a));
      expect(new Set(worth.map((w) => w.test)).size).toBe(worth.length);
    }
    const observed: Observations = { cottonTufts: "present", alcoholDissolves: "present" };
    expect(testsByWorth(posteriorOf(priors, observed), priors, "fern", observed).map((w) => w.test)).not.toContain(
      "alcoholDab",
    );
    const bumps: Observations = { fixedBumps: "present" };
    expect(testsByWorth(posteriorOf(priors, bumps), priors, "fern", bumps)).toHaveLength(testIds.length);
  });

  it("proposes none that cannot be done there: nothing to scrape, no roots, no mix (common practice, no source)", () => {
    const on = (form: GrowthFormId, observed: Observations) =>
      testsByWorth(posteriorOf(priors, observed, form), priors, form, observed).map(({ test }) => test);
    const dots: Observations = { stippling: "present" };
    for (const form of growthFormIds)
      for (const test of ["scrape", "alcoholDab", "touch"] as const) expect(on(form, dots)).not.toContain(test);
    expect(on("airPlant", { cottonTufts: "present" })).not.toContain("rootBall");
    expect(on("airPlant", { cottonTufts: "present" })).not.toContain("potato");
    expect(on("tubercledCactus", dots)).not.toContain("tissue");
  });

  it("drops at the areoles of a barrel cactus are likelier its own than on a vine (common practice, no source)", () => {
    const seen: Observations = {
      stickyFilm: "present",
      sootyFilm: "present",
      cottonTufts: "absent",
      fixedBumps: "absent",
    };
    expect(posteriorOf(priors, seen, "columnarCactus").none).toBeGreaterThan(
      3 * posteriorOf(priors, seen, "trailingVine").none,
    );
    expect(posteriorOf(priors, seen, "trailingVine")).toEqual(posteriorOf(priors, seen));
  });

  it.each<[string, Observations, TestId]>([
    ["white tufts: dab them with alcohol", { cottonTufts: "present" }, "alcoholDab"],
    ["bumps: scrape one", { fixedBumps: "present" }, "scrape"],
    ["wilting though damp: slip the root ball out", { wiltsDamp: "present", smallFlies: "absent" }, "rootBall"],
  ])("%s (common practice, no source)", (_why, observed, test) => {
    const worth = testsByWorth(posteriorOf(even, observed), even, "trailingVine", observed);
    expect(worth[0]!.test).toBe(test);
  });

  it("is about the pests that the signs speak for, and about all while they speak for none", () => {
    expect(inQuestion(posteriorOf(even, { fixedBumps: "present" }), even)).toEqual(["softScale", "armouredScale"]);
    expect(inQuestion(posteriorOf(even, {}), even)).toEqual(suspectIds);
    expect(informationOf(posteriorOf(even, {}), ["webbing"], [])).toBeCloseTo(0, 12);
  });
});

describe("what is likely before any sign", () => {
  it("nearer pests, warmer places and forms with their hiding places raise the odds", () => {
    const base = { form: "trailingVine", meanC: 22, season: "spring", nearby: {} } as const;
    let last = priorsFor(base).mealybug;
    for (const near of nearnesses) {
      const now = priorsFor({ ...base, nearby: { mealybug: near } }).mealybug;
      expect(now).toBeGreaterThan(last);
      last = now;
    }
    expect(priorsFor({ ...base, meanC: 12 }).spiderMite).toBeLessThan(priorsFor({ ...base, meanC: 28 }).spiderMite);
    expect(priorsFor({ ...base, form: "stemSucculent" }).spiderMite).toBeLessThan(priorsFor(base).spiderMite);
    expect(priorsFor({ ...base, season: "winter" }).fungusGnat).toBeGreaterThan(priorsFor(base).fungusGnat);
  });

  it("stays a probability for every form, season and temperature", () => {
    for (const form of growthFormIds)
      for (const season of seasons)
        for (const meanC of [-10, 9, 22, 45]) {
          const all = Object.values(priorsFor({ form, season, meanC, nearby: { aphid: "here" } }));
          expect(all.every((p) => p > 0 && p < 1)).toBe(true);
        }
  });

  it("seasons of both halves of the earth", () => {
    expect([12, 1, 3, 6, 9, 11].map((month) => seasonOf(month, "north"))).toEqual([
      "winter",
      "winter",
      "spring",
      "summer",
      "autumn",
      "autumn",
    ]);
    expect([12, 3, 7, 10].map((month) => seasonOf(month, "south"))).toEqual(["summer", "autumn", "winter", "spring"]);
    expect(() => seasonOf(0, "north")).toThrow(RangeError);
    expect(nearer("seller", "place")).toBe("place");
    expect(nearer("here", "collection")).toBe("here");
    expect(nearer(undefined, "collection")).toBe("collection");
  });

  it("likeliest first; a fern's rows of bumps may be spore cases", () => {
    const order = byChance(posteriorOf(even, { packedInsects: "present" }));
    expect(order[0]).toBe("aphid");
    expect(lookAlikesOf(["fixedBumps"], "fern")).toContain("sporeCases");
    expect(lookAlikesOf(["fixedBumps"], "palm")).not.toContain("sporeCases");
    expect(lookAlikesOf([], "fern")).toEqual([]);
  });
});
