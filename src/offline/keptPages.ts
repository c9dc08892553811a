/** Pages that open without a connection, kept in this browser as they were last seen. */
export const PAGES_CACHE = "wary-pages";
/** What is shown where a page is not kept. */
export const NO_LINE_PAGE = "/offline";
/** What a page of many plants fetches behind itself. */
export const STANDING_PART = "/benches/standing";

const KEPT = [
  /^\/(today|walk|mixing|almanac|benches|evening|year|calendar|wintering|prevention|session)$/,
  /^\/walk\/[0-9a-f-]{36}$/,
  /^\/session\/due\/[^/]+$/,
  /^\/plants\/[0-9a-f-]{36}$/,
  /^\/almanac\/.+$/,
];

/** Whether a page is kept. @example isKeptPage("/settings/people") // false */
export function isKeptPage(path: string): boolean {
  return KEPT.some((one) => one.test(path));
}

/** Of which collection pages were kept last, when, and of which build. */
export const KEPT_AT = "wary-kept-at";

/** Whether this browser can keep pages: only where the connection is secure, or this machine itself. */
export const canKeep = () => "serviceWorker" in navigator && "caches" in globalThis;

/** Forgets every page: what somebody else, or another collection, may not see. */
export async function forgetPages(): Promise<void> {
  localStorage.removeItem(KEPT_AT);
  if (canKeep()) await caches.delete(PAGES_CACHE);
}
