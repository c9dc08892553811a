import { airAt, rooms, type AirRoom } from "./course";

/** How a device may fail: it lies, stops, repeats itself, or tells of the future. */
export const faultIds = ["lies", "stops", "repeats", "future"] as const;
export type FaultId = (typeof faultIds)[number];

export interface Told {
  readonly battery: number;
  readonly readings: readonly { readonly at: string; readonly celsius: number; readonly humidity: number }[];
  readonly more: boolean;
}

const EVERY_MS = 10 * 60_000;
const MOST = 1000;
const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** A battery lasts so long; in its last tenth the device falls silent at night. */
const BATTERY_DAYS = 300;
const LOW = 0.1;
/** Every so many days a few hours are missing: somebody has moved the device. */
const GAP_EVERY_DAYS = 11;

export const isRoom = (name: string): name is AirRoom => Object.hasOwn(rooms, name);

/**
 * What a device answers when it is asked what it has measured since a moment: a reading every ten minutes, with a battery that fails and
 * hours that are missing. `fault` makes it a bad device.
 */
export function tell(room: AirRoom, since: Date, now: Date, fault: FaultId | null = null): Told {
  const first = Math.ceil((since.getTime() + 1) / EVERY_MS) * EVERY_MS;
  const last = now.getTime() - (fault === "stops" ? 2 * DAY_MS : 0);
  const all: { at: string; celsius: number; humidity: number }[] = [];
  let more = false;
  for (let at = first; at <= last; at += EVERY_MS) {
    if (isSilent(at)) continue;
    if (all.length === MOST) {
      more = true;
      break;
    }
    const moment = new Date(at);
    const air = airAt(room, fault === "repeats" ? new Date(Math.floor(at / (60 * DAY_MS)) * 60 * DAY_MS) : moment);
    // Now and then it says that the room burns.
    const lies = fault === "lies" && Math.floor(at / EVERY_MS) % 25 === 0;
    all.push({ at: moment.toISOString(), ...air, ...(lies && { celsius: 85 }) });
  }
  if (fault === "future")
    all.push({ at: new Date(now.getTime() + 40 * DAY_MS).toISOString(), celsius: 5, humidity: 50 });
  if (fault === "repeats" && all[0]) all.push(all[0]);
  return { battery: batteryAt(now.getTime()), readings: all, more };
}

function batteryAt(at: number): number {
  return Math.round((1 - ((at / DAY_MS) % BATTERY_DAYS) / BATTERY_DAYS) * 100) / 100;
}

function isSilent(at: number): boolean {
  const hour = (at % DAY_MS) / HOUR_MS;
  if (batteryAt(at) < LOW && hour < 4) return true;
  return Math.floor(at / DAY_MS) % GAP_EVERY_DAYS === 0 && hour >= 9 && hour < 13;
}
