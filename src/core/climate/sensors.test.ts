import { describe, expect, it } from "vitest";
import { tell, faultIds } from "../../../demo/air/devices";
import { airAt } from "../../../demo/air/course";
import { sensorAnswer } from "./sensors";

const now = new Date("2026-01-20T18:00:00Z");
const since = new Date("2026-01-10T00:00:00Z");

describe("what a device answers", () => {
  it("is understood with or without humidity and battery", () => {
    const reading = { at: "2026-01-10T08:00:00+01:00", celsius: 20.4 };
    expect(sensorAnswer.safeParse({ readings: [reading] }).success).toBe(true);
    expect(sensorAnswer.safeParse({ battery: 0.4, readings: [{ ...reading, humidity: 41 }], more: true }).success).toBe(
      true,
    );
  });

  it.each([
    ["a time without its offset", { readings: [{ at: "2026-01-10T08:00:00", celsius: 20 }] }],
    ["a temperature in words", { readings: [{ at: "2026-01-10T08:00:00Z", celsius: "warm" }] }],
    ["a battery of more than all", { battery: 80, readings: [] }],
    ["nothing", {}],
  ])("is not understood with %s", (_what, answer) => {
    expect(sensorAnswer.safeParse(answer).success).toBe(false);
  });
});

describe("the simulated devices", () => {
  it("answer what is understood, whatever is wrong with them", () => {
    for (const fault of [null, ...faultIds])
      expect(sensorAnswer.safeParse(tell("lamp-room", since, now, fault)).success).toBe(true);
  });

  it("tell the same air for the same moment, every ten minutes, after the moment asked about", () => {
    const { readings } = tell("terrace", since, now);
    expect(tell("terrace", since, now).readings).toEqual(readings);
    expect(readings.every(({ at }) => new Date(at) > since)).toBe(true);
    const first = readings[0]!;
    expect(first).toMatchObject(airAt("terrace", new Date(first.at)));
  });

  it("say that there is more after a thousand, and go on where they were", () => {
    const first = tell("lamp-room", since, now);
    expect([first.readings.length, first.more]).toEqual([1000, true]);
    const next = tell("lamp-room", new Date(first.readings.at(-1)!.at), now);
    expect(new Date(next.readings[0]!.at) > new Date(first.readings.at(-1)!.at)).toBe(true);
  });

  it("have a gap of hours now and then, a day that is warmest in the afternoon, and a heating season with dry air", () => {
    const days = Array.from({ length: 12 }, (_, i) => new Date(since.getTime() + i * 86_400_000));
    const toldOn = (from: Date) => tell("terrace", from, new Date(from.getTime() + 86_399_999)).readings.length;
    expect(Math.min(...days.map(toldOn))).toBeLessThan(130);
    expect(Math.max(...days.map(toldOn))).toBeGreaterThan(140);
    const at = (text: string) => airAt("terrace", new Date(text)).celsius;
    expect(at("2026-07-10T15:00:00Z")).toBeGreaterThan(at("2026-07-10T04:00:00Z"));
    expect(at("2026-07-10T15:00:00Z")).toBeGreaterThan(at("2026-01-10T15:00:00Z"));
    const damp = (text: string) => airAt("lamp-room", new Date(text)).humidity;
    expect(damp("2026-12-10T12:00:00Z")).toBeLessThan(damp("2026-07-10T12:00:00Z"));
  });
});
