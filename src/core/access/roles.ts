import type { Day } from "../shared/days";

/**
 * What may be done with a collection: `see` what is due and the walks, `read` everything, `tend` what is due and the walks, `record`
 * whatever there is to record, `own` it: its settings, its people, its end.
 */
export const rightIds = ["see", "read", "tend", "record", "own"] as const;
export type Right = (typeof rightIds)[number];

/** Who somebody is to a collection, and what that lets them do. */
export const roles = {
  owner: ["see", "read", "tend", "record", "own"],
  keeper: ["see", "read", "tend", "record"],
  sitter: ["see", "tend"],
  reader: ["see", "read"],
} as const satisfies Readonly<Record<string, readonly Right[]>>;
export type RoleId = keyof typeof roles;
export const roleIds = Object.keys(roles) as [RoleId, ...RoleId[]];

/** Whether a role has a right. @example may("sitter", "read") // false */
export function may(role: RoleId, right: Right): boolean {
  return (roles[role] as readonly Right[]).includes(right);
}

/** A role in a collection, and for whom it is only for a while from which day until which, both included; null for no limit. */
export interface Membership {
  readonly role: RoleId;
  readonly from: Day | null;
  readonly until: Day | null;
}

/** The role that holds on a day, days of the collection; null where none does. */
export function roleOn({ role, from, until }: Membership, day: Day): RoleId | null {
  return (from === null || from <= day) && (until === null || day <= until) ? role : null;
}
