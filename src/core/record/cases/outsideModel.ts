const DAY_MS = 86_400_000;

/** What happened more days than these before it was written down stands on record beside the reckoning. */
export const LONG_AGO_DAYS = 731;

/**
 * Whether a fact lies so far back that it is kept but not reckoned with: no case runs for two years, and a mistyped year is
 * likelier. @example isBeside({ at: new Date("2015-11-24"), recordedAt: new Date("2026-11-24") }) // true
 */
export function isOutsideModel({ at, recordedAt }: { readonly at: Date; readonly recordedAt: Date }): boolean {
  return recordedAt.getTime() - at.getTime() > LONG_AGO_DAYS * DAY_MS;
}
