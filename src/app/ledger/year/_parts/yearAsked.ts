/** The year that an address asks for; null where it asks for none, or for nonsense. @example yearAsked("2026") // 2026 */
export function yearAsked(asked: unknown): number | null {
  return typeof asked === "string" && /^\d{4}$/.test(asked) ? Number(asked) : null;
}
