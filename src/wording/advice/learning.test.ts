import { keepersImported } from "./experience";
import { describe, expect, it } from "vitest";
import type { CourseTaught } from "@/core/advice/learning/courses";
import { reliabilityOf } from "@/core/advice/learning/reliability";
import { countedOf } from "@/core/advice/learning/span";
import { learnedReach } from "@/core/model/learning/reach";
import { learnedShare } from "@/core/model/learning/share";
import {
  doseInWords,
  handSentence,
  sightSentence,
  arrivalsElsewhereSentence,
  passingElsewhereSentence,
  arrivalsSentence,
  betterSentence,
  elsewhereSentence,
  expectedSentence,
  passingSentence,
  promiseSentence,
  sightElsewhereSentence,
  byOursSentence,
  blameSentence,
  cardsSentence,
  twiceSentence,
  ownSentences,
  taughtSentences,
  toldSentence,
} from "./learning";

const way = (remedy: "oil" | "soap", hits: number, of: number): CourseTaught => ({
  ...{ pest: "spiderMite", dose: { remedy, technique: "spray" }, ended: countedOf(hits, of) },
  ...{ returned: 0, open: 0, treatments: hits > 0 ? 3 : null, days: hits > 0 ? 12 : null },
});

/** Numbers and their signs stay on one line; a test reads them as spaces. */
const plain = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, " ");

describe("what the record has taught, in words", () => {
  it("names both ways, the better first, and says whether that is more than chance", () => {
    expect(taughtSentences([way("soap", 2, 6), way("oil", 4, 5)]).map(plain)).toEqual([
      "Against spider mites: smothering oil, spray to run-off ended 4 of 5 in 3 treatments; soap wash, spray to run-off ended 2 of 6 in 3 treatments. There are too few cases to tell which is better.",
    ]);
    expect(taughtSentences([way("soap", 3, 12), way("oil", 11, 12)])[0]).toContain(
      "is hardly chance, if the cases were equally bad",
    );
  });

  it("never speaks from one case, nor of one way alone", () => {
    expect(taughtSentences([way("soap", 0, 1), way("oil", 1, 1)])).toEqual([]);
    expect(taughtSentences([way("oil", 4, 5)])).toEqual([]);
  });

  it("says of a hand where it is most unlike what we expect, and nothing from too few cases", () => {
    const careless = Array.from({ length: 9 }, () => [0.8, 0.15, 0.05] as const);
    const learned = learnedReach(careless, 12);
    const said = plain(handSentence({ technique: "spray", cases: 9, learned }));
    expect(said).toMatch(
      /^Spray to run-off: 9 closed cases\. We expect that in 25 % of cases it misses much more than usual; your record says \d+ % \(\d+ % to \d+ %\)\.$/,
    );
    const learnedAs = { technique: "spray", cases: 9, learned } as const;
    expect(handSentence(learnedAs, true)).toContain("your record with other keepers' says");
    expect(handSentence({ technique: "dab", cases: 1, learned: null })).toBe(
      "Dab the animals: one closed case, too few to say.",
    );
  });

  it("stands beside the ways of a plan that it is of, and beside no other", () => {
    const taught = [way("oil", 4, 5)];
    expect(ownSentences([{ remedy: "soap", technique: "spray" }], taught)).toEqual([]);
    expect(ownSentences([{ remedy: "oil", technique: "spray" }], taught).map(plain)).toEqual([
      "On your own record smothering oil, spray to run-off ended 4 of 5 (51 % to 94 %) cases of spider mites for good.",
    ]);
  });

  it("says of what was told whether it came, and where we were wrong", () => {
    const [bin] = reliabilityOf(Array.from({ length: 10 }, (_, i) => ({ p: 0.97, came: i < 4 })));
    expect(plain(toldSentence(bin!))).toContain("95 % to 99 %, 97 % on average: nothing came back in 4 of 10");
    expect(toldSentence(bin!)).toContain("too sure: more came back");
  });
});

describe("what an eye sees", () => {
  it("is told beside what we suppose, or as too little to say", () => {
    const eye = { tool: "eye", looks: 5, learned: { mean: 0.714, low: 0.5, high: 0.95 } } as const;
    expect(sightSentence(eye).replaceAll("\u00a0", " ")).toBe(
      "Naked eye, room light: 5 looks beside a find. It sees 71 % of what we suppose (50 % to 95 %).",
    );
    expect(sightSentence({ ...eye, looks: 1, learned: null })).toContain("one look beside a find, too few to say.");
  });
});

describe("a way as it is said", () => {
  it("names all that was in the can, and how it was put on", () => {
    expect(doseInWords({ remedy: "alcohol", technique: "dab" })).toBe("Alcohol, dab the animals");
    expect(doseInWords({ remedy: "soap", technique: "spray", mix: "soapAlcohol" })).toBe(
      "Soap wash and alcohol, spray to run-off",
    );
  });
});

describe("what a keeper's own record makes of a case", () => {
  it.each([
    [0.97, 0.91, "What has been learned counts here, and makes it surer: by our estimates alone it would be 91 %."],
    [0.88, 0.91, "What has been learned counts here, and makes it less sure: by our estimates alone it would be 91 %."],
    [0.911, 0.908, "What has been learned counts here; it agrees with our estimates."],
  ])("%d beside %d", (own, ours, sentence) => {
    expect(byOursSentence(own, ours).replaceAll("\u00a0", " ")).toBe(sentence);
  });
});

it("says what makes chances wrong", () => {
  const told = blameSentence([
    { kind: "eye", tool: "lamp", factor: 0.59 },
    { kind: "hand", technique: "spray", factor: 1.52 },
  ]);
  expect(told.replaceAll("\u00a0", " ")).toBe(
    "Probably because with the lamp you see 59 % of what we suppose, and “spray to run-off” misses much 1.5 times as often as we suppose.",
  );
  expect(blameSentence([])).toBe("None of the numbers learned so far explains it.");
});

it("says a case both ways", () => {
  expect(twiceSentence({ pClear: 0.97, byOurs: 0.91 }).replaceAll("\u00a0", " ")).toBe(
    "97 % likely over; 91 % by our estimates alone.",
  );
});

describe("what was told, held against what came", () => {
  const [low, high] = reliabilityOf(
    [...Array.from({ length: 9 }, () => ({ p: 0.015, came: false })), { p: 0.015, came: true }, { p: 0.7, came: true }],
    [0, 0.05, 1],
  );

  it("of looks and of plans", () => {
    expect(expectedSentence(low!).replaceAll("\u00a0", " ")).toMatch(
      /^Told to find something at 0 % to 5 %: 1 of 10 \(\d+ % to \d+ %\) did\. That fits\.$/,
    );
    expect(promiseSentence(high!).replaceAll("\u00a0", " ")).toMatch(
      /^Plans adopted at 5 % to 100 %: the looks afterwards were clean in 1 of 1 \(.*\)\. Too few to tell\.$/,
    );
    expect(cardsSentence(high!, 0, 2).replaceAll("\u00a0", " ")).toMatch(
      /^1 of 1 \(.*\) counts lay within the span we told; \d+ % should\. Higher: 2, lower: 0\. Too few to tell\.$/,
    );
    expect(passingSentence({ mean: 1.42, low: 0.8, high: 2.1 })).toBe(
      "From plant to plant, 1.4 times as much passes as we suppose (0.8 to 2.1).",
    );
  });
});

describe("what other keepers' records have taught", () => {
  it("is told of how many, and whether it counts", () => {
    const one = { keepers: 1, cases: 1 };
    expect(elsewhereSentence(one, false)).toBe(
      "From one other keeper with one case. New cases start from theirs as well, until your own record says more.",
    );
    expect(elsewhereSentence({ keepers: 3, cases: 40 }, true)).toContain(
      "From 3 other keepers with 40 cases. Your settings say",
    );
    expect([keepersImported(1), keepersImported(4)]).toEqual([
      "Imported: one other keeper.",
      "Imported: 4 other keepers.",
    ]);
  });

  it("says what their eyes see, and what came with their plants", () => {
    const eye = { tool: "eye", looks: 9, precision: 4, pull: 4 * Math.log(0.7) } as const;
    expect(sightElsewhereSentence(eye).replaceAll("\u00a0", " ")).toBe(
      "Naked eye, room light: 9 looks beside a find; theirs see about 70 % of what we suppose.",
    );
    // e^(1.2 / 3) = 1.49.
    expect(passingElsewhereSentence({ looks: 90, precision: 3, pull: 1.2 })).toBe(
      "90 looks held against what we told: from plant to plant about 1.5 times as much passes there as we suppose.",
    );
    expect(arrivalsElsewhereSentence({ plants: 20, showed: 3 })).toBe(
      "3 of 20 new plants showed a pest soon after coming.",
    );
  });
});

it("says what another tool would do for the rhythm", () => {
  const told = { instead: "eye", tool: "loupe", sees: 0.2, would: 0.6, everyDays: 7, couldBe: 14 } as const;
  expect(betterSentence(told)).toBe(
    "By eye, 2 in 10 looks see a light infestation like these; with lamp and loupe, 6 in 10. A look every 14 days with lamp and loupe finds it as early as one every 7 days by eye. Plants in a case, at risk or new here still want weekly looks.",
  );
});

describe("what came with the plants of a seller", () => {
  it.each([
    [4, 13, "Swap: 4 of 13 plants showed a pest soon after coming. About 22 % of the next will (11 % to 33 %)."],
    [0, 1, "Swap: its one plant showed no pest soon after coming. About 9 % of the next will (1 % to 21 %)."],
  ])("%i of %i", (showed, plants, sentence) => {
    const learned = learnedShare(showed, plants, { share: 0.1, weigh: 10 });
    const told = arrivalsSentence({ seller: "Swap", plants, showed, learned });
    expect(told.replaceAll("\u00a0", " ")).toBe(sentence);
  });
});
