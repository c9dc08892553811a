/** A clock that is off by less is right enough, ms. */
const TOLERATED_MS = 2 * 60_000;

/**
 * The moment at which something was pressed, when the device's own clock is wrong: `shown` is what that clock showed when the
 * press was sent, `now` the true time then, so that what it is off by now it was off by at the press. A clock that is right
 * enough, or that nothing is known of, is believed.
 * @example byDeviceClock(tenFast, tenFastNow, now) // ten minutes earlier than it says
 */
export function byDeviceClock(pressedAt: Date, shown: string | null, now: Date): Date {
  const fastMs = shown ? Date.parse(shown) - now.getTime() : NaN;
  if (Number.isNaN(fastMs) || Math.abs(fastMs) <= TOLERATED_MS) return pressedAt;
  return new Date(pressedAt.getTime() - fastMs);
}
