import { describe, expect, it } from "vitest";
import type { Act } from "../../acts/acts";
import type { Day } from "../../shared/days";
import type { TreatedPlant } from "../tolerance/treatedPlant";
import { mustWait, type Waiting } from "./wait";

const bearer = {
  form: "uprightShrub",
  potCm: 14,
  sensitivities: [],
  inFlower: false,
  inBud: false,
  resting: false,
  known: true,
  reactions: [],
} as unknown as TreatedPlant;
const spray: Act = { kind: "contact", mix: "soapMild", technique: "spray", volumeMl: 200, spots: ["underside"] };
const drench: Act = { kind: "drench", remedy: "neem", volumeMl: 300 };
const asked: Waiting = { act: spray, bearer, label: [], celsius: 22, volumeMl: 200, soakedOn: null };
const day = "2026-07-10" as Day;

// Source: common practice; the heat from oil labels, from memory.
describe("what must wait", () => {
  it("nothing, on a mild evening", () => expect(mustWait(asked, day)).toEqual([]));

  it("what is sprayed, while it is hotter than 32 °C; hands work on", () => {
    expect(mustWait({ ...asked, celsius: 32 }, day)).toEqual([]);
    expect(mustWait({ ...asked, celsius: 33.4 }, day)).toEqual([{ code: "too_hot", celsius: 33.4 }]);
    expect(mustWait({ ...asked, celsius: 33.4, volumeMl: 0 }, day)).toEqual([]);
  });

  it("a drench, for two days after something was poured on the mix; not a spray", () => {
    const soakedOn = "2026-07-09" as Day;
    expect(mustWait({ ...asked, act: drench, soakedOn }, day)).toEqual([{ code: "sodden", soakedOn }]);
    expect(mustWait({ ...asked, act: drench, soakedOn: "2026-07-08" as Day }, day)).toEqual([]);
    expect(mustWait({ ...asked, soakedOn }, day)).toEqual([]);
  });

  it("what the plant does not bear, and what its label does not allow today", () => {
    const shy: TreatedPlant = { ...bearer, sensitivities: ["soapShy"] };
    expect(mustWait({ ...asked, bearer: shy }, day)).toEqual([{ code: "against", objection: "soapOnShy" }]);
    const label = [{ code: "too_soon" }] as unknown as Waiting["label"];
    expect(mustWait({ ...asked, label }, day)).toEqual([{ code: "label", objection: label[0] }]);
  });
});
