import { describe, expect, it } from "vitest";
import { movedInWords, ringName, thripsSentence, unsentSentence } from "./cards";

describe("a counted card, in words", () => {
  it("says one as one, and nothing of what is not there", () => {
    expect([thripsSentence(0), thripsSentence(1).slice(0, 12), thripsSentence(3).slice(0, 11)]).toEqual([
      ...["", "One speck is", "3 specks ar"],
    ]);
    expect([0, 1, 7].map(movedInWords)).toEqual(["Nothing moved", "One moved", "7 moved"]);
    expect([unsentSentence(1), unsentSentence(2)]).toEqual([
      "The count is saved. A photo of it could not be sent.",
      "The count is saved. 2 of its photos could not be sent.",
    ]);
  });

  it("names each ring by its number and what lies in it", () => {
    expect([ringName("fly", 1, 1), ringName("fly", 2, 3), ringName("speck", 1, 2)]).toEqual([
      ...["1: a fly", "3: 2 flies", "2: a speck that moved"],
    ]);
  });
});
