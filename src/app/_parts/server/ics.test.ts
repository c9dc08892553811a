import ICAL from "ical.js";
import { sync } from "node-ical";
import { describe, expect, it, vi } from "vitest";
import type { CalendarEntry } from "@/core/schedule/calendar/entries";
import { addDays, day } from "@/core/shared/days";

vi.mock("server-only", () => ({}));
const { icsOf } = await import("./ics");

const collectionId = "0198c0de-0000-7000-8000-000000000001";
const about = {
  ...{ name: "The Lamp House, upstairs; “north”", collectionId, now: new Date("2026-10-20T09:00:00Z") },
  link: (path: string) => `https://plants.local:3180${path}`,
};
const treat = (on: string): CalendarEntry => ({
  ...{ kind: "treat", uid: "step-1", day: day(on), plantId: "p", code: "L04" },
  ...{ planned: { mix: "soapMild", technique: "spray" }, pest: "mealybug", late: 0 },
});
const entries: CalendarEntry[] = [
  treat("2026-10-24"),
  { kind: "looks", uid: "looks-2026-10-25", day: day("2026-10-25"), codes: ["L01", "L02"], plants: 14 },
  {
    ...{ kind: "room", uid: "gnats-x-cards", day: day("2026-10-26") },
    due: {
      ...{ programme: "gnats", placeId: "x", placeName: "Stairs, lower; left", on: day("2026-10-26") },
      what: { what: "way", way: "cards", on: day("2026-10-26"), again: true },
    },
  },
  // Dark until the evening after the clocks have gone back.
  {
    kind: "timer",
    uid: "timer-7",
    day: day("2026-10-25"),
    what: "dark",
    code: "L04",
    endsAt: new Date("2026-10-25T18:05:00Z"),
  },
];
const text = icsOf(entries, about);

// Source: RFC 5545, through two parsers that know nothing of each other.
describe("what is due as a calendar", () => {
  const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));
  const other = Object.values(sync.parseICS(text)).filter((one) => one?.type === "VEVENT");

  it("is read by both, whole", () => {
    expect(events).toHaveLength(entries.length);
    expect(other).toHaveLength(entries.length);
    const uids = entries.map(({ uid }) => `${uid}@${collectionId}.wary-petal`).toSorted();
    expect(events.map(({ uid }) => uid).toSorted()).toEqual(uids);
    expect(other.map((one) => (one as { uid: string }).uid).toSorted()).toEqual(uids);
    for (const { summary } of events)
      expect(other.some((one) => (one as { summary: string }).summary === summary)).toBe(true);
    expect(events[2]!.summary).toBe("Stairs, lower; left: yellow cards, again");
  });

  it("holds no line longer than 75 octets, and ends each as it must", () => {
    const lines = text.split("\r\n");
    expect(text).not.toMatch(/[^\r]\n/);
    expect(Math.max(...lines.map((line) => Buffer.byteLength(line)))).toBeLessThanOrEqual(75);
    expect(text).toContain("VERSION:2.0");
  });

  it("a day stays its day in every zone, also where clocks change; it ends where the next begins", () => {
    const [first] = events;
    expect([first!.startDate.isDate, first!.startDate.toString(), first!.endDate.toString()]).toEqual([
      true,
      "2026-10-24",
      "2026-10-25",
    ]);
    expect(events[1]!.startDate.toString()).toBe("2026-10-25");
    expect(events[1]!.endDate.toString()).toBe("2026-10-26");
  });

  it("a timer is an instant, whatever the wall shows, and rings", () => {
    const timer = events.find(({ uid }) => uid.startsWith("timer-7"))!;
    expect(timer.startDate.toJSDate()).toEqual(new Date("2026-10-25T18:05:00Z"));
    expect(timer.component.getAllSubcomponents("valarm")).toHaveLength(1);
    const same = other.find((one) => (one as { uid: string }).uid.startsWith("timer-7")) as { start: Date };
    expect(new Date(same.start).getTime()).toBe(Date.parse("2026-10-25T18:05:00Z"));
  });

  it("the same thing keeps its name when its day moves", () => {
    const moved = new ICAL.Component(ICAL.parse(icsOf([treat("2026-10-31")], about))).getFirstSubcomponent("vevent")!;
    expect(new ICAL.Event(moved).uid).toBe(events[0]!.uid);
    expect(new ICAL.Event(moved).startDate.toString()).toBe("2026-10-31");
    expect(new ICAL.Event(moved).endDate.toString()).toBe(addDays(day("2026-10-31"), 1));
  });
});
