import { expect, it } from "vitest";
import { day } from "@/core/shared/days";
import { yearOf } from "@/core/advice/ledger/year";
import { earlierSentence, tallyName, yearSentence } from "./ledger";

it("when to look earlier is a day of next year's calendar, over the turn of the year too", () => {
  const told = { pest: "spiderMite", finds: 3, of: 4, from: day("2027-08-01") } as const;
  expect(earlierSentence({ ...told, month: 9 })).toBe(
    "Spider mites: 3 of 4 finds were in September and October. Start looking for them on Sun 1 Aug 2027, a month earlier.",
  );
  expect(earlierSentence({ ...told, month: 12 })).toContain("in December and January");
});

it("a year is one sentence, and what was closed in it another; what is not known is left out", () => {
  const empty = yearOf([], 2026);
  expect(yearSentence(empty)).toBe("Nothing was found in this year.");
  expect(yearSentence({ ...empty, finds: 1, plants: 1 })).toBe("One find on one plant.");
  const full = {
    ...empty,
    finds: 6,
    plants: 5,
    minutes: 122,
    medianDays: 20,
    ended: { clear: 2, givenUp: 0, lost: 1 },
  };
  expect(yearSentence(full)).toBe(
    "6 finds on 5 plants, about 2 h 2 min of work, found 20 days after the plant came (median). Closed: 2 clear, 1 lost.",
  );
});

it("what is not known is said so", () => {
  expect(tallyName("way", "", "")).toBe("Cannot be told");
  expect(tallyName("seller", "", "")).toBe("Not recorded");
  expect(tallyName("month", "2026-11", "")).toBe("November 2026");
});
