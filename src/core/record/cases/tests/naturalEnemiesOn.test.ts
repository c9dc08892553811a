import { predators } from "../../../knowledge/remedies/lasting";
import { describe, expect, it } from "vitest";
import type { Act } from "../../../acts/acts";
import { addDays } from "../../../shared/days";
import type { ActDone } from "../../facts/facts";
import { productsOf } from "../../../acts/acts";
import { actObjections } from "../../../advice/tolerance/actObjections";
import { treatedPlantOf } from "../../../advice/tolerance/treatedPlant";
import { SPRAY_FREE_DAYS } from "../../../knowledge/remedies/naturalEnemies";
import { naturalEnemiesOn } from "../naturalEnemiesOn";
import { on, spray, struck } from "./facts";

const mites: Act = { kind: "release", predator: "predatoryMites", sachets: 1 };
const released = (day: number): ActDone => ({ ...spray(day), act: mites });
const hoya = { genus: "Hoya", growthForm: "trailingVine", potCm: 12, inBud: false, inFlower: false } as const;
const codes = (act: Act, acts: readonly ActDone[], day: number) =>
  actObjections(act, {
    ...treatedPlantOf(hoya, [], on(day), "north"),
    today: on(day),
    helpers: naturalEnemiesOn(acts),
  }).map(({ code }) => code);

describe("helpful animals and what kills them", () => {
  // Two weeks without sprays before, none while they live; a sachet lasts four to six weeks: common practice, no source.
  it("live as long as a sachet lasts, and come two weeks after the last spray; what was struck out counts nothing", () => {
    expect(naturalEnemiesOn([])).toEqual({ aliveUntil: null, freeFrom: null });
    expect(naturalEnemiesOn([spray(5), spray(12), struck(spray(20))]).freeFrom).toBe(addDays(on(12), SPRAY_FREE_DAYS));
    const { aliveUntil } = naturalEnemiesOn([released(5), released(1)]);
    expect(aliveUntil).toBe(addDays(on(5), predators.predatoryMites.untilDay));
  });

  it("a spray while they live, and letting them loose too soon after one, are told; each in its time only", () => {
    const soap = spray(0).act;
    expect(codes(soap, [released(0)], 20)).toContain("helpersAlive");
    expect(codes(soap, [released(0)], predators.predatoryMites.untilDay + 1)).not.toContain("helpersAlive");
    expect(codes(mites, [spray(0)], 13)).toEqual(["sprayedLately"]);
    expect(codes(mites, [spray(0)], 14)).toEqual([]);
    expect(codes({ kind: "trap", cards: 1, days: 7 }, [released(0), spray(0)], 5)).toEqual([]);
  });

  it("every act puts on what a home knows by its name, or nothing", () => {
    expect([mites, spray(0).act].flatMap(productsOf)).toEqual(["predatoryMites", "soap"]);
    expect(productsOf({ kind: "trap", cards: 1, days: 7 })).toEqual([]);
    const cats = { household: ["cats"], notAllowed: ["bti"] } as const;
    const bearer = treatedPlantOf(hoya, [], on(0), "north", cats);
    const drench: Act = { kind: "drench", remedy: "bti", volumeMl: 200 };
    expect(actObjections(drench, bearer)).toEqual([{ level: "refuse", code: "notAllowed" }]);
  });
});
