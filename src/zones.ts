import { tzOffset } from "@date-fns/tz";
import type { Day } from "@/core/shared/days";

/**
 * The only converter between instants and what clock and calendar show in a time zone. It asks for the zone's offset alone,
 * so that the answer never depends on the zone of the machine it runs on.
 */

const MINUTE_MS = 60_000;
const DAY_MS = 86_400_000;

/** Offsets by zone and day (UTC); null for days in which the offset changes. */
const known = new Map<string, Map<number, number | null>>();

/** Milliseconds to add to UTC at an instant. Throws RangeError for what is no zone. */
function offsetMs(instantMs: number, zone: string): number {
  const exact = (ms: number) => {
    const minutes = tzOffset(zone, new Date(ms));
    if (Number.isNaN(minutes)) throw new RangeError(`no time zone: ${zone}`);
    return minutes * MINUTE_MS;
  };
  const days = known.get(zone) ?? new Map<number, number | null>();
  known.set(zone, days);
  const day = Math.floor(instantMs / DAY_MS);
  let offset = days.get(day);
  if (offset === undefined) {
    const [first, last] = [exact(day * DAY_MS), exact((day + 1) * DAY_MS)];
    offset = first === last ? first : null;
    days.set(day, offset);
  }
  return offset ?? exact(instantMs);
}

/** What a clock and a calendar there show, written as if it were UTC. */
function shown(instant: Date, zone: string): string {
  return new Date(instant.getTime() + offsetMs(instant.getTime(), zone)).toISOString();
}

/** The day an instant falls on in a zone. @example dayIn(new Date("2026-11-25T07:30Z"), "America/Los_Angeles") // 2026-11-24 */
export function dayIn(instant: Date, zone: string): Day {
  return shown(instant, zone).slice(0, 10) as Day;
}

/** The wall time of an instant in a zone, to the minute, as a form field wants it: `2026-11-24T23:30`. */
export function wallTimeIn(instant: Date, zone: string): string {
  return shown(instant, zone).slice(0, 16);
}

/** The same as days since 1970 on that clock, to the minute: half past ten in the evening of the second of January is 1.9375. */
export function clockDaysIn(instant: Date, zone: string): number {
  return Math.floor((instant.getTime() + offsetMs(instant.getTime(), zone)) / MINUTE_MS) / (DAY_MS / MINUTE_MS);
}

/** An instant with the offset of a zone, to the second: `2026-11-24T23:30:00-08:00`. What a device sends. */
export function withOffset(instant: Date, zone: string): string {
  const minutes = offsetMs(instant.getTime(), zone) / MINUTE_MS;
  const two = (n: number) => String(Math.floor(n)).padStart(2, "0");
  const sign = minutes < 0 ? "-" : "+";
  return `${shown(instant, zone).slice(0, 19)}${sign}${two(Math.abs(minutes) / 60)}:${two(Math.abs(minutes) % 60)}`;
}

/**
 * The instants at which clocks in a zone show a wall time (`YYYY-MM-DDTHH:mm`), ascending: two for one that is told twice,
 * on the night on which clocks go back; none for one that is left out. @example instantsOf("2026-10-25T01:30", "Europe/Lisbon").length // 2
 */
export function instantsOf(wallTime: string, zone: string): Date[] {
  const asUtc = Date.parse(`${wallTime}:00Z`);
  const offsets = new Set([offsetMs(asUtc - DAY_MS, zone), offsetMs(asUtc + DAY_MS, zone)]);
  return [...offsets]
    .map((offset) => asUtc - offset)
    .filter((instant) => instant + offsetMs(instant, zone) === asUtc)
    .toSorted((a, b) => a - b)
    .map((instant) => new Date(instant));
}

/** The instant of a wall time: the first of two; for one that is left out the instant as many minutes after the change. */
export function instantOf(wallTime: string, zone: string): Date {
  const [first] = instantsOf(wallTime, zone);
  if (first) return first;
  const asUtc = Date.parse(`${wallTime}:00Z`);
  return new Date(asUtc - offsetMs(asUtc - DAY_MS, zone));
}

/** The names of the zones that are offered, area and place: `Europe/Lisbon`; and UTC. */
export function zoneNames(): string[] {
  return [...Intl.supportedValuesOf("timeZone").filter((name) => name.includes("/")), "UTC"];
}
