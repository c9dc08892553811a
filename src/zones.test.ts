import { execFileSync } from "node:child_process";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { dayIn, instantOf, instantsOf, wallTimeIn, withOffset, zoneNames } from "./zones";

const zones = ["America/Los_Angeles", "Pacific/Auckland", "Asia/Kathmandu", "Europe/Lisbon", "Australia/Lord_Howe"];

describe("instants and what the clock shows", () => {
  // Source: the zones' own law, as the IANA database records it; from memory.
  it.each([
    ["2026-11-25T07:30:00Z", "America/Los_Angeles", "2026-11-24T23:30"],
    ["2026-11-24T11:00:00Z", "Pacific/Auckland", "2026-11-25T00:00"],
    ["2026-11-24T18:15:00Z", "Asia/Kathmandu", "2026-11-25T00:00"],
    ["2026-07-01T23:30:00Z", "Europe/Lisbon", "2026-07-02T00:30"],
  ])("%s in %s is %s", (instant, zone, wall) => {
    expect(wallTimeIn(new Date(instant), zone)).toBe(wall);
    expect(dayIn(new Date(instant), zone)).toBe(wall.slice(0, 10));
  });

  // Source: clocks go back on 25 October 2026 in Lisbon at 02:00, on 1 November in Los Angeles at 02:00, on 5 April in Auckland at 03:00.
  it.each([
    ["2026-10-25T01:30", "Europe/Lisbon", ["2026-10-25T00:30:00.000Z", "2026-10-25T01:30:00.000Z"]],
    ["2026-11-01T01:30", "America/Los_Angeles", ["2026-11-01T08:30:00.000Z", "2026-11-01T09:30:00.000Z"]],
    ["2026-04-05T02:30", "Pacific/Auckland", ["2026-04-04T13:30:00.000Z", "2026-04-04T14:30:00.000Z"]],
    ["2026-04-05T01:45", "Australia/Lord_Howe", ["2026-04-04T14:45:00.000Z", "2026-04-04T15:15:00.000Z"]],
    ["2026-10-25T01:30", "Asia/Kathmandu", ["2026-10-24T19:45:00.000Z"]],
  ])("%s in %s was shown at %j", (wall, zone, instants) => {
    expect(instantsOf(wall, zone).map((at) => at.toISOString())).toEqual(instants);
  });

  // Source: clocks go forward on 29 March 2026 in Lisbon at 01:00, on 8 March in Los Angeles at 02:00.
  it.each([
    ["2026-03-29T01:30", "Europe/Lisbon", "2026-03-29T02:30"],
    ["2026-03-08T02:30", "America/Los_Angeles", "2026-03-08T03:30"],
  ])("%s in %s was never shown; it is taken for %s", (wall, zone, taken) => {
    expect(instantsOf(wall, zone)).toEqual([]);
    expect(wallTimeIn(instantOf(wall, zone), zone)).toBe(taken);
  });

  it("every instant is among those of the wall time it shows, and is told with its own offset", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: Date.parse("2020-01-01"), max: Date.parse("2030-01-01") }),
        fc.constantFrom(...zones),
        (ms, zone) => {
          const at = new Date(Math.floor(ms / 60_000) * 60_000);
          expect(instantsOf(wallTimeIn(at, zone), zone)).toContainEqual(at);
          expect(new Date(withOffset(at, zone))).toEqual(at);
          expect(withOffset(at, zone).slice(0, 16)).toBe(wallTimeIn(at, zone));
        },
      ),
    );
  });

  it("does not depend on the zone of the machine", () => {
    const script = `const { instantsOf, dayIn } = await import("./src/zones.ts");
      console.log(JSON.stringify([instantsOf("2026-10-25T01:30", "Europe/Lisbon"), dayIn(new Date("2026-11-25T07:30:00Z"), "America/Los_Angeles")]))`;
    const answers = ["UTC", "Europe/Lisbon", "America/Los_Angeles", "Pacific/Auckland"].map((TZ) =>
      execFileSync(process.execPath, ["--import", "tsx", "--input-type=module", "-e", script], {
        env: { ...process.env, TZ },
        encoding: "utf8",
      }),
    );
    expect(new Set(answers).size).toBe(1);
    expect(answers[0]).toContain("2026-10-25T00:30:00.000Z");
  });

  it("offers only areas and places, and UTC, which some devices are set to", () => {
    expect(zoneNames()).toContain("Europe/Lisbon");
    expect(zoneNames().filter((name) => !name.includes("/"))).toEqual(["UTC"]);
    expect(() => dayIn(new Date(), "No/Where")).toThrow(RangeError);
  });
});
