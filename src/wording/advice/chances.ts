/** The sign never stands alone at the beginning of a line. */
const SIGN = "\u00a0%";

/** A probability as whole per cents: "83 %"; what is not quite nothing or certain says so. */
export function percent(p: number): string {
  if (p > 0 && p < 0.005) return `under 1${SIGN}`;
  if (p < 1 && p >= 0.995) return `over 99${SIGN}`;
  return `${Math.round(p * 100)}${SIGN}`;
}

/** An expected number of animals, with no more digits than it deserves: "about 40", "about 3", "0.2", "under 0.01". */
export function expectedCount(n: number): string {
  if (n >= 1000) return `about ${Math.round(n / 100) * 100}`;
  if (n >= 10) return `about ${Math.round(n)}`;
  if (n >= 0.095) return `${Math.round(n * 10) / 10}`;
  if (n >= 0.01) return `${Math.round(n * 100) / 100}`;
  return n > 0 ? "under 0.01" : "0";
}

/** A chance as a keeper would say it: "6 in 10", "1 in 20"; what is nearly certain or hardly likely in per cents. */
export function inTen(p: number): string {
  const tenths = Math.round(p * 10);
  if (tenths === 0) return p >= 0.03 ? `1 in ${Math.round(1 / p)}` : percent(p);
  return tenths === 10 ? percent(p) : `${tenths} in 10`;
}
