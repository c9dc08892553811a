import { describe, expect, it } from "vitest";
import { day } from "@/core/shared/days";
import type { Blamed, PlantCarries, WayBack } from "@/core/advice/spread/carries";
import { carriesSentence, routeInWords, wayBackSentence, wouldCatchSentence } from "./carries";

const route = (over: Partial<Blamed>): Blamed => ({
  ...{ kind: "neighbour", plantId: "p", code: "L04", nearness: "touching", pest: "mealybug", share: 0.7 },
  ...over,
});
const carries = (over: Partial<PlantCarries>): PlantCarries => ({
  ...{ p: 0.07, risk: 0.07, pests: [], routes: [], looks: [], waysBack: null },
  ...over,
});
const plain = (text: string) => text.replaceAll("\u00a0", " ");

describe("what a plant may carry, in words", () => {
  it("says how likely, what, and mostly from where; what makes up little of it is not named", () => {
    const pests = [
      { pest: "mealybug" as const, p: 0.04 },
      { pest: "spiderMite" as const, p: 0.02 },
      { pest: "aphid" as const, p: 0.001 },
    ];
    expect(
      plain(carriesSentence(carries({ pests, routes: [route({}), route({ kind: "background", share: 0.2 })] }))),
    ).toBe("7 % that it carries a pest unseen: mealybugs 4 %, spider mites 2 %, mostly from L04 touching it.");
    // The same way for two pests counts together; less than half of it is not "mostly".
    const twice = [
      route({ share: 0.3 }),
      route({ pest: "thrips", share: 0.3 }),
      route({ kind: "background", share: 0.4 }),
    ];
    expect(carriesSentence(carries({ routes: twice }))).toContain("mostly from L04 touching it");
    expect(carriesSentence(carries({ routes: [route({ kind: "arrival", share: 0.4 })] }))).toContain(
      "most of it from what it may have brought with it",
    );
    expect(plain(carriesSentence(carries({ p: 0 })))).toBe("0 % that it carries a pest unseen.");
  });

  it("has words for every way", () => {
    const kinds = ["arrival", "resident", "remained", "background", "others", "handled", "neighbour"] as const;
    const words = kinds.map((kind) => routeInWords(route({ kind })));
    expect(new Set(words).size).toBe(kinds.length);
    expect(words.join()).not.toContain("null");
  });
});

describe("the way back, in words", () => {
  const way = (id: WayBack["way"], tool: WayBack["tool"], ...days: string[]): WayBack => ({
    ...{ way: id, tool, p: 0.03, after: [] },
    looks: days.map(day),
  });

  it("names the day, the looks that must be clean, and how much sooner with the better tool", () => {
    const usual = way("usual", "lamp", "2026-11-27", "2026-12-04", "2026-12-11", "2026-12-18");
    expect(plain(wayBackSentence([usual, way("thorough", "loupe", "2026-11-27", "2026-12-04")]))).toBe(
      "It may join on Fri 18 Dec if the looks of Fri 27 Nov, Fri 4 Dec, Fri 11 Dec and Fri 18 Dec are clean (lamp; 3 % left then). " +
        "Checked with the lamp and loupe, in every hiding place: 2 weeks sooner.",
    );
    expect(wayBackSentence([way("usual", "lamp", "2026-11-27")])).toContain("the look of Fri 27 Nov is clean");
    expect(wayBackSentence([])).toContain("Not within ten weeks");
  });
});

describe("what a plant's neighbours would catch", () => {
  it("is a chance while it is less than one plant (one or more of a Poisson count: 1 − e^−n, textbook), and never a part of one", () => {
    const said = [0.01, 0.06, 0.2, 0.99, 1.2, 3.4].map((n) => plain(wouldCatchSentence(n)));
    expect(said[0]).toContain("very unlikely");
    expect(said[1]).toContain("unnoticed: 6 %.");
    expect(said[2]).toContain("unnoticed: 18 %.");
    expect(said[3]).toContain("unnoticed: 63 %.");
    expect(said[4]).toContain("one plant there");
    expect(said[5]).toContain("about 3 plants there");
    for (const one of said) expect(one).not.toMatch(/0\.\d/);
  });
});
