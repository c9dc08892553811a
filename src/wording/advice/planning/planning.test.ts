import { describe, expect, it } from "vitest";
import type { DatedSchedule } from "@/core/advice/plans/schedules";
import { addDays, day } from "@/core/shared/days";
import { beyondSentences, looksInWords, planSentence, rhythmInWords, whySentences } from "./planning";
import { gnatVerdictSentence } from "../seasons/seasons";
import { proposalSentence } from "../clearance/decision";

/** As it is read: the space before the sign does not break. */
const read = (text: string) => text.replaceAll("\u00a0", " ");

const first = day("2026-12-02");
const schedule = (count: number, every: number, over: Partial<DatedSchedule> = {}): DatedSchedule => {
  const dates = Array.from({ length: count }, (_, i) => addDays(first, i * every));
  const last = dates.at(-1) ?? first;
  return {
    ...{ dates, doses: dates.map(() => ({ remedy: "soap", technique: "spray" }) as const), intervalDays: every },
    ...{ looks: [addDays(last, 7), addDays(last, 14)], pClean: 0.6, sure: 0.98, reaches: true },
    ...{ pOver: 0.55, by: addDays(last, 30) },
    ...over,
  };
};

describe("a plan in one sentence", () => {
  it("says how often, until when, how likely the looks are clean, and what then", () => {
    expect(read(planSentence("Soap, sprayed", schedule(5, 4)))).toBe(
      "Soap, sprayed, every fourth day, five times (until Fri 18 Dec): 6 in 10 that the looks after it are clean, and then it is 98 % sure. If they are not, continue from what you find.",
    );
  });

  it("of a school whose name says how often only until when", () => {
    expect(planSentence("Soap weekly, three times", schedule(3, 7), true)).toMatch(
      /^Soap weekly, three times \(until Wed 16 Dec\): 6 in 10/,
    );
  });

  it("says so where that is not enough, and where nothing is to be done but looking", () => {
    expect(planSentence("Soap, sprayed", schedule(2, 7, { reaches: false }))).toContain("below your target");
    expect(read(planSentence("", schedule(0, 0)))).toBe(
      "Nothing more to do but look, for the last time on Wed 16 Dec: 6 in 10 that the looks are clean, and then it is 98 % sure. If they are not, treat what they find.",
    );
  });

  it.each([
    [0, 0, "no treatment"],
    [1, 0, "once, on Wed 2 Dec"],
    [3, 7, "weekly, three times (until Wed 16 Dec)"],
    [2, 14, "every second week, twice (until Wed 16 Dec)"],
    [3, 10, "every 10 days, three times (until Tue 22 Dec)"],
    [10, 3, "every third day, 10 times (until Tue 29 Dec)"],
  ])("%d times every %d days", (count, every, told) => {
    expect(rhythmInWords(schedule(count, every))).toBe(told);
  });

  it("what is done twice on one day is one day", () => {
    expect(rhythmInWords(schedule(3, 7, { dates: [first, first, addDays(first, 7)] }))).toContain("twice");
  });
});

describe("what would get there", () => {
  it("names what more would do with its chance of getting there, and bottles; giving up is not among it", () => {
    const told = beyondSentences({
      ...{ approach: "alcoholDab", pClean: 0.3, sure: 0.9, bottles: ["oilSpray"] },
      helps: [{ id: "unpot", pClean: 0.6, sure: 0.97 }],
    }).map(read);
    expect(told[0]).toContain("alcohol, dabbed: 3 in 10");
    expect(told[1]).toContain("6 in 10 that the looks after it are clean, and then it is 97 % sure");
    expect(told[2]).toContain("oil, sprayed");
    expect(told.join(" ")).not.toMatch(/give|giving/i);
  });

  it("why these dates: what may survive, and what would change that", () => {
    const help = { id: "prune", pClean: 0.7, sure: 0.98 } as const;
    const [because, more] = whySentences([{ cause: "deep", share: 0.9 }], help);
    expect(because).toContain("Nine in ten of what may survive sits deep");
    expect(read(more!)).toContain(read(looksInWords(help)));
    expect(whySentences([], null)).toEqual(["Probably nothing is left."]);
  });
});

describe("the first decision in words", () => {
  it("is one proposal with what tells it from the next", () => {
    const choices = [{ way: "programme" }, { way: "blitz" }] as const;
    expect(proposalSentence({ choices, because: "work" })).toBe(
      "Suggested: follow the full programme. Compared with the next best, to do everything in one day, it takes the least of your time. You decide.",
    );
    expect(proposalSentence({ choices: [], because: null })).toBe("");
  });
});

describe("gnats that are nearly gone", () => {
  it("are news, with or without a fly", () => {
    expect(gnatVerdictSentence({ code: "none_caught", times: 3 }, [])).toContain("3 counts in a row");
    expect(gnatVerdictSentence({ code: "nearly_over" }, [])).toContain("Nearly over");
  });
});
