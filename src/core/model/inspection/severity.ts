/** Severity as a full look finds it, lightest first. Source: ideas common practice, bounds our own estimates (HOUSE). */
export const severities = [
  { id: "trace", from: 1, to: 2, typical: 1.4 },
  { id: "light", from: 3, to: 10, typical: 5.5 },
  { id: "patch", from: 11, to: 50, typical: 23 },
  { id: "heavy", from: 51, to: 200, typical: 100 },
  { id: "overrun", from: 201, to: Infinity, typical: 300 },
] as const;

export type SeverityId = (typeof severities)[number]["id"];
export const severityIds = severities.map((s) => s.id) as [SeverityId, ...SeverityId[]];

/**
 * The class a count of live animals falls in.
 * Throws RangeError unless `count` is at least 1.
 * @example severityOf(6) // "light"
 */
export function severityOf(count: number): SeverityId {
  const found = severities.find((s) => count >= s.from && count <= s.to);
  if (!found) throw new RangeError(`a find is at least one animal, got ${count}`);
  return found.id;
}

/**
 * How many live animals a find stands for: the count where there is one, else the geometric middle of its class.
 * @example animalsIn({ severity: "patch", count: null }) // 23
 */
export function animalsIn(find: { severity: SeverityId; count: number | null }): number {
  return find.count ?? severities.find((s) => s.id === find.severity)!.typical;
}
