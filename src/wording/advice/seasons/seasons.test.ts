import { describe, expect, it } from "vitest";
import { addDays, day } from "@/core/shared/days";
import type { RoomAsked } from "@/core/schedule/calendar/entries";
import type { ChosenProgramme } from "@/core/record/facts/kinds/roomProgramme";
import { hazardIds } from "@/core/schedule/programmes/hazard";
import type { Feeds } from "@/core/advice/seasons/feeding";
import type { GnatVerdict } from "@/core/advice/seasons/gnats/verdict";
import { gnatWayIds } from "@/core/acts/gnatWayIds";
import { entryInWords, roomDueInWords, roomPath } from "../../record/calendar";
import {
  chosenInWords,
  daysAbout,
  feedsSentence,
  fliesInWords,
  gnatVerdictSentence,
  gnatWayMeets,
  gnatWayNames,
  habitSentence,
  hazardSentence,
  larvaeInWords,
  returnedSentence,
  shortWays,
} from "./seasons";

const on = day("2026-11-24");

describe("gnats in words", () => {
  it("are counted with their own word, none and one among them", () => {
    expect([fliesInWords(0), fliesInWords(1), fliesInWords(12)]).toEqual(["no fly", "one fly", "12 flies"]);
    expect([larvaeInWords(0), larvaeInWords(1), larvaeInWords(3)]).toEqual(["no larva", "one larva", "3 larvae"]);
  });

  it("every way has a name, a short one, and what it meets", () => {
    for (const way of gnatWayIds)
      for (const told of [gnatWayNames[way], shortWays[way], gnatWayMeets[way]]) expect(told.length).toBeGreaterThan(3);
    expect(new Set(gnatWayIds.map((way) => shortWays[way])).size).toBe(gnatWayIds.length);
  });

  it("every verdict is a sentence that says what to do next", () => {
    const all: GnatVerdict[] = [
      { code: "not_counted" },
      { code: "leave", perCardWeek: 0.4 },
      { code: "early", untilDays: 5 },
      { code: "working" },
      { code: "cannot_tell" },
      { code: "not_working", pots: [1, 0] },
      { code: "not_working", pots: [] },
      { code: "quiet", days: 21 },
      { code: "over" },
    ];
    const told = all.map((verdict) => gnatVerdictSentence(verdict, ["R01", "R07"]));
    expect(new Set(told).size).toBe(all.length);
    for (const sentence of told) {
      expect(sentence).toMatch(/^[A-Z].*\.$/);
      expect(sentence).not.toMatch(/undefined|NaN|null/);
    }
    expect(told[5]).toContain("R07, R01");
    expect(told[1]).toContain("0.4 a card and week");
    expect(told[2]).toContain("in about 5 days");
  });
});

describe("programmes of rooms in words", () => {
  it("what was chosen is told for every kind", () => {
    const evening = { minutes: 90, helpers: 1, dryingPots: 12 };
    const all: ChosenProgramme[] = [
      { programme: "gnats", ways: ["larvicide", "cards"] },
      { programme: "wintering", toPlaceId: "x", moveOn: on, coldestC: 10, weeks: 6, ...evening },
      {
        ...{ programme: "prevention", mix: "oil1", technique: "spray", who: "prone", everyDays: 90 },
        ...{ fromMonth: 3, untilMonth: 10, ...evening },
      },
      { programme: "guests", predator: "predatoryMites", sachets: 6, everyDays: 35 },
    ];
    expect(all.map((chosen) => chosenInWords(chosen).join("; "))).toEqual([
      "Bti in the water; yellow cards",
      "in by Tue 24 Nov; begun 6 weeks before",
      "oil 1 %, thin or soft leaves; spray to run-off; the most prone plants; every 90 days, March to October".replace(
        "leaves; spray",
        "leaves, spray",
      ),
      "predatory mites; renewed every 35 days",
    ]);
  });

  it("what is asked for names its place first, and an empty place not at all", () => {
    const asked: RoomAsked[] = [
      { what: "way", way: "larvicide", on, again: true },
      { what: "count", on, sinceDays: 7 },
      { what: "slice", on },
      { what: "winterBatch", plants: 3, behind: 2 },
      { what: "winterMove", plants: 1 },
      { what: "winterSpray", plants: 4 },
      { what: "round", plants: 12 },
      { what: "round", plants: 0 },
      { what: "sachets", again: false },
    ];
    expect(asked.map((one) => roomDueInWords(one, "Stairs"))).toEqual([
      "Stairs: Bti in the water, again",
      "Stairs: count the flies on the cards",
      "Stairs: lay slices of potato on the wettest pots, and count the larvae after three or four days",
      "Stairs: prepare 3 plants for winter; 2 behind",
      "Stairs: bring one plant in",
      "In for winter: spray 4 plants again",
      "Stairs: preventive round, up to 12 plants",
      "Stairs: next preventive round",
      "Stairs: release predators",
    ]);
    expect(roomDueInWords(asked[1]!, "")).toBe("count the flies on the cards");
  });

  it("leads to the page of its programme", () => {
    expect(roomPath({ programme: "gnats", placeId: "p" })).toBe("/benches/places/p/gnats");
    expect(roomPath({ programme: "wintering", placeId: "p" })).toBe("/wintering");
    expect([
      roomPath({ programme: "prevention", placeId: null }),
      roomPath({ programme: "guests", placeId: "p" }),
    ]).toEqual(["/prevention", "/prevention"]);
  });

  it("treatments, looks and timers are lines of their own, and no line holds a recipe instead of its cautions", () => {
    const spray = { mix: "soapMild", technique: "spray" } as const;
    const late = { kind: "treat", plantId: "p", code: "L04", planned: spray, pest: "thrips", late: 2 } as const;
    expect(entryInWords(late).summary).toMatch(/^L04: soap wash.*against thrips, 2 days late$/);
    const looks = (plants: number, codes: readonly string[]) => entryInWords({ kind: "looks", plants, codes }).summary;
    expect(looks(1, ["L04"])).toBe("Look at one plant: L04");
    expect(looks(14, ["L01", "L02"])).toBe("Look at 14 plants: L01, L02 and 12 more");
    const treat = {
      kind: "treat",
      plantId: "p",
      code: "L04",
      planned: { work: "unpot" },
      pest: "rootMealybug",
      late: 0,
    } as const;
    expect(entryInWords(treat)).toMatchObject({
      path: "/plants/p",
      description: expect.stringContaining("Cautions") as string,
    });
    const timer = { kind: "timer", what: "dark", code: "L04", endsAt: new Date() } as const;
    expect(entryInWords(timer).summary).toMatch(/^L04: back to the light/);
  });
});

describe("what feeds the trouble, and what comes back", () => {
  it("is told each with its evidence", () => {
    const all: Feeds[] = [
      { code: "warm", dry: true, doublingDays: 5.2, coolerDays: 9.4, found: 2 },
      { code: "warm", dry: null, doublingDays: 3.46, coolerDays: null, found: 0 },
      { code: "damp", deficitKpa: 0.31, gnats: 4 },
      { code: "tooWet", keptWet: 4, plants: 9, gnats: null },
      { code: "crowded", plants: 12, roomFor: 8 },
      { code: "dust", days: null },
      { code: "dust", days: 120 },
      { code: "litter", days: null, found: 1 },
      { code: "nitrogen", times: 1, found: 0 },
    ];
    const told = all.map((feeds) => feedsSentence(feeds, "metric"));
    expect(told[0]).toBe(
      "Dry and warm: mites double in 5 days here; 3 °C less would make it 9. Found here 2 times within a year.",
    );
    expect(told[1]).toBe("Warm: mites double in 3.5 days here.");
    for (const sentence of told) expect(sentence).not.toMatch(/undefined|NaN|null/);
    expect(new Set(told).size).toBe(all.length);
    expect([daysAbout(3.46), daysAbout(12.4)]).toEqual(["3.5", "12"]);
  });

  it("a habit names its month and the one before it, over the turn of the year", () => {
    expect(habitSentence({ pest: "spiderMite", month: 1, times: 3 })).toContain("start looking in December");
    expect(habitSentence({ pest: "spiderMite", month: 7, times: 2 })).toContain("start looking in June");
  });

  it("a return tells which of the two is likelier, or that it is being worked out", () => {
    const clearedOn = addDays(on, -40);
    expect(returnedSentence({ clearedOn, sameLine: 0.8 })).toMatch(/most likely it had survived.*80\s%.*20\s%/s);
    expect(returnedSentence({ clearedOn, sameLine: 0.1 })).toMatch(/most likely it came back.*10\s%.*90\s%/s);
    expect(returnedSentence({ clearedOn, sameLine: null })).toContain("is being worked out");
    expect(hazardSentence({ why: [] })).toBe("");
    expect(hazardSentence({ why: [...hazardIds] }).split(",")).toHaveLength(hazardIds.length);
  });
});
