/**
 * The air that the simulated devices measure: a made-up course over the year and the day, with a heating season. The same moment always
 * has the same air. It is our own invention, for the demo and for tests.
 */
export interface Air {
  readonly celsius: number;
  readonly humidity: number;
}

export const rooms = {
  /** A heated room: even warmth, dry air from October to April. */
  "lamp-room": { meanC: 20.5, yearC: 2, dayC: 1.6, humidity: 55, heatedHumidity: 36 },
  /** A terrace out of doors by the sea. */
  terrace: { meanC: 15.5, yearC: 6, dayC: 4, humidity: 74, heatedHumidity: 74 },
} as const;
export type AirRoom = keyof typeof rooms;

const DAY_MS = 86_400_000;
const YEAR_DAYS = 365.25;
/** The warmest day of the year, and the warmest hour of the day. */
const WARMEST_DAY = 205;
const WARMEST_HOUR = 15;

/** A number between −1 and 1 that is always the same for a moment. */
function ripple(seed: number): number {
  const x = Math.sin(seed * 12.9898) * 43758.5453;
  return 2 * (x - Math.floor(x)) - 1;
}

/** The air of a room at an instant. @example airAt("terrace", new Date("2026-01-10T06:00:00Z")).celsius < 12 */
export function airAt(room: AirRoom, at: Date): Air {
  const { meanC, yearC, dayC, humidity, heatedHumidity } = rooms[room];
  const days = at.getTime() / DAY_MS;
  const year = Math.cos((2 * Math.PI * ((days % YEAR_DAYS) - WARMEST_DAY)) / YEAR_DAYS);
  const hour = (days % 1) * 24;
  const day = Math.cos((2 * Math.PI * (hour - WARMEST_HOUR)) / 24);
  // Weather: some days are warmer than others.
  const weather = ripple(Math.floor(days)) * (yearC / 3);
  const celsius = meanC + yearC * year + dayC * day + weather + 0.2 * ripple(days * 144);
  const month = at.getUTCMonth() + 1;
  const heated = month >= 10 || month <= 4;
  const damp = (heated ? heatedHumidity : humidity) - 4 * day + 5 * ripple(Math.floor(days) + 0.5);
  return { celsius: Math.round(celsius * 10) / 10, humidity: Math.round(Math.min(98, Math.max(18, damp))) };
}
