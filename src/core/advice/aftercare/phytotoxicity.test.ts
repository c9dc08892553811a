import { describe, expect, it } from "vitest";
import type { Act } from "../../acts/acts";
import type { Reaction } from "../../record/facts/facts";
import { treatedPlantOf, type Reacted } from "../tolerance/treatedPlant";
import { mixFor } from "../tolerance/mixFor";
import { objections } from "../tolerance/suitability";
import { TRIAL_DAY } from "../plans/trial";
import { askedAfter } from "./phytotoxicity";
import { at, nextId, on, spray, struck } from "../../record/cases/tests/facts";

const put = (offset: number, mix: string, over = {}) => {
  const act = { ...(spray(offset).act as object), mix } as Act;
  return spray(offset, { act, ...over });
};
const said = (offset: number, mix: Reaction["mix"], what: Reaction["what"]): Reaction => ({
  ...{ id: nextId(), at: at(offset), day: on(offset), recordedAt: at(offset), recordedBy: "", voidReason: null },
  ...{ plantId: "p", mix, technique: "spray", what, note: "" },
});
const asks = (...[acts, reactions, flowers, today]: Parameters<typeof askedAfter>) =>
  askedAfter(acts, reactions, flowers, today).map(({ mix, asks: all }) => [mix, ...all]);

describe("what is looked at after a treatment (common practice, no source)", () => {
  it("the first time with a mix, from the next day on and for a week; a weaker one later is not new", () => {
    expect(asks([put(0, "soapMild")], [], false, on(0))).toEqual([]);
    expect(asks([put(0, "soapMild")], [], false, on(1))).toEqual([["soapMild", "firstTime"]]);
    expect(asks([put(0, "soapMild")], [], false, on(8))).toEqual([]);
    expect(asks([put(-60, "soapStrong"), put(0, "soapMild")], [], false, on(1))).toEqual([]);
    expect(asks([put(-60, "soapMild"), put(0, "soapStrong")], [], false, on(1))).toEqual([["soapStrong", "firstTime"]]);
  });

  it("a can is new to whoever has borne each of its parts alone", () => {
    const alone = [put(-60, "soapStrong"), put(-30, "alcoholFull")];
    expect(asks([...alone, put(0, "soapAlcohol")], [], false, on(1))).toEqual([["soapAlcohol", "firstTime"]]);
    expect(asks([...alone, put(-15, "soapAlcohol"), put(0, "soapAlcohol")], [], false, on(1))).toEqual([]);
  });

  it("flowers on the third day, but for soap; every oil by its gloss", () => {
    expect(asks([put(0, "alcoholHalf")], [], true, on(2))).toEqual([["alcoholHalf", "firstTime"]]);
    expect(asks([put(0, "alcoholHalf")], [], true, on(3))).toEqual([["alcoholHalf", "firstTime", "flowers"]]);
    expect(asks([put(-30, "soapMild"), put(0, "soapMild")], [], true, on(3))).toEqual([]);
    expect(asks([put(-30, "oil2"), put(0, "oil1")], [], false, on(1))).toEqual([["oil1", "gloss"]]);
  });

  it("once it has been said it is asked no more; what is struck out was neither done nor said", () => {
    const acts = [put(0, "soapMild")];
    expect(asks(acts, [said(1, "soapMild", "nothing")], false, on(2))).toEqual([]);
    expect(asks(acts, [struck(said(1, "soapMild", "nothing"))], false, on(2))).toHaveLength(1);
    expect(asks([struck(put(0, "soapMild"))], [], false, on(2))).toEqual([]);
    // Of two of one remedy the later asks for both, in whatever order they are given.
    expect(asks([put(2, "soapMild"), put(0, "soapMild")], [], false, on(3))).toEqual([]);
    expect(asks([put(2, "soapStrong"), put(0, "soapMild")], [], false, on(3))).toEqual([["soapStrong", "firstTime"]]);
  });
});

describe("what the plant said teaches", () => {
  const plant = (reactions: Reacted[], genus = "Inventedia") =>
    treatedPlantOf(
      { genus, growthForm: "uprightShrub", potCm: 12, inBud: false, inFlower: false },
      reactions,
      TRIAL_DAY,
      "north",
    );
  const told = (what: Reacted["what"], mix: Reacted["mix"] = "soapMild"): Reacted => ({
    mix,
    technique: "spray",
    what,
  });
  const codes = (reactions: Reacted[]) => objections(plant(reactions), "soapMild", "spray").map(({ code }) => code);

  it("what it bore well is doubted no more; what it bore badly once is", () => {
    expect(codes([])).toContain("unknownKind");
    expect(codes([told("nothing")])).not.toContain("unknownKind");
    expect(codes([told("nothing"), told("scorch")])).toEqual(expect.arrayContaining(["unknownKind", "reactedBefore"]));
    // Stronger than it has borne is still new.
    const stronger = objections(plant([told("nothing")]), "soapStrong", "spray").map(({ code }) => code);
    expect(stronger).toContain("unknownKind");
  });

  it("oil that dried matt is made stronger next, tacky weaker (gloss test, common practice)", () => {
    const citrus = (reactions: Reacted[]) => mixFor("oil", plant(reactions, "Citrus"));
    expect(citrus([])).toBe("oil2");
    expect(citrus([told("tacky", "oil2")])).toBe("oil1");
    expect(citrus([told("tacky", "oil2"), told("matt", "oil1")])).toBe("oil2");
    // What thin leaves do not bear is not made stronger, however matt it dried.
    const fern = plant([told("matt", "oil1")], "Ctenanthe");
    expect(mixFor("oil", fern)).toBe("oil1");
  });
});
