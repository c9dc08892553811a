import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cautionsOfAct, type Act } from "./acts";
import { gearFor, isSprayed } from "../advice/tolerance/gear";
import { startTimer } from "./timerCommands";
import { shownAt, type Timer } from "./timers";
import { timersAfter } from "./acts";

const put = (mix: string, technique: string) =>
  ({ kind: "contact", mix, technique, volumeMl: 50, spots: ["axil"] }) as unknown as Act;

describe("what is waited for after an act (common practice, no source)", () => {
  it("a day out of all light after alcohol that was sprayed; a dab leaves it to the keeper", () => {
    expect(timersAfter(put("alcoholHalf", "spray"))).toEqual([{ what: "dark", minutes: 1440, optional: false }]);
    expect(timersAfter(put("alcoholHalf", "dab"))).toMatchObject([{ what: "dark", optional: true }]);
  });

  it("three to five hours of a fan after what wets it; a rinse after an hour in one school", () => {
    const soap = timersAfter(put("soapMild", "spray"));
    expect(soap).toMatchObject([{ what: "fan" }, { what: "rinse", minutes: 60, optional: true }]);
    expect(soap[0]!.minutes).toBeGreaterThanOrEqual(180);
    expect(soap[0]!.minutes).toBeLessThanOrEqual(300);
    expect(timersAfter(put("neemUsual", "spray")).map(({ what }) => what)).toEqual(["fan"]);
    expect(timersAfter(put("soapMild", "wipe"))).toEqual([]);
  });

  it("a pot soaks for 15 to 25 minutes; cards and predators are waited for by no clock", () => {
    const [soak] = timersAfter({ kind: "drench", remedy: "neem", volumeMl: 300 });
    expect(soak!.minutes).toBeGreaterThanOrEqual(15);
    expect(soak!.minutes).toBeLessThanOrEqual(25);
    expect(timersAfter({ kind: "trap", cards: 1, days: 7 })).toEqual([]);
  });

  it("whatever is proposed may be started", () => {
    const id = "0190f000-0000-7000-8000-000000000001";
    for (const act of [
      put("alcoholHalf", "spray"),
      put("oil2", "dunk"),
      { kind: "drench", remedy: "bti", volumeMl: 9 } as Act,
    ])
      for (const { what, minutes } of timersAfter(act))
        expect(startTimer.safeParse({ id, plantId: id, what, minutes, at: "2026-11-24T18:00:00+00:00" }).success).toBe(
          true,
        );
  });
});

describe("timers that are shown", () => {
  const timer = (id: string, endsAt: Date): Timer => ({
    id,
    plantId: null,
    what: "fan",
    startedAt: new Date(0),
    endsAt,
  });

  it("what rings first stands first, and what rang two days ago is gone, in whatever order they came (property)", () => {
    const now = new Date("2026-11-24T18:00:00Z");
    const offsets = fc.uniqueArray(fc.integer({ min: -72 * 60, max: 72 * 60 }), { maxLength: 20 });
    fc.assert(
      fc.property(offsets, (minutes) => {
        const all = minutes.map((one, i) => timer(String(i), new Date(now.getTime() + one * 60_000)));
        const shown = shownAt(all, now).map(({ endsAt }) => (endsAt.getTime() - now.getTime()) / 60_000);
        expect(shown).toEqual(minutes.filter((one) => one > -48 * 60).toSorted((a, b) => a - b));
        expect(shownAt(all.toReversed(), now)).toEqual(shownAt(all, now));
      }),
    );
  });
});

describe("what is put on before a session (labels, from memory)", () => {
  const gear = (act: Act, onPlants: Parameters<typeof gearFor>[1] = []) =>
    gearFor(cautionsOfAct(act), onPlants, isSprayed(act));

  it("gloves and glasses for anything, a mask for what is sprayed, an open window for alcohol", () => {
    expect(gear(put("soapMild", "spray"))).toEqual(["gloves", "glasses", "mask"]);
    expect(gear(put("alcoholHalf", "dab"))).toEqual(["gloves", "glasses", "openWindow"]);
    expect(gear({ kind: "dust", dryDays: 5 })).toContain("dustMask");
  });

  it("spines ask for tongs, milky sap for gloves and glasses whatever is done", () => {
    expect(gearFor([], ["spines"], false)).toEqual(["tongs"]);
    expect(gearFor([], ["milkySap"], false)).toEqual(["gloves", "glasses"]);
  });
});
