/** The collection this browser shows, by id. */
export const COLLECTION_COOKIE = "wary-collection";
/** The name this device has been given, percent-encoded. */
export const DEVICE_COOKIE = "wary-device";

const YEAR_S = 31_536_000;

/** Remembers something in this browser for a year; a script may read it, since it is no secret. */
export function remember(name: string, value: string): void {
  document.cookie = `${name}=${encodeURIComponent(value)}; path=/; max-age=${YEAR_S}; samesite=lax`;
}

/** What this browser remembers under a name; null for nothing. */
export function remembered(name: string): string | null {
  const found = document.cookie.split("; ").find((one) => one.startsWith(`${name}=`));
  return found ? decodeURIComponent(found.slice(name.length + 1)) : null;
}

/** Forgets what this browser remembers under a name. */
export function forget(name: string): void {
  document.cookie = `${name}=; path=/; max-age=0; samesite=lax`;
}
