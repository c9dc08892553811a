import type { RemedyId, TechniqueId } from "../remedies/remedies";

/** A remedy put on in one way. */
export interface Dose {
  readonly remedy: RemedyId;
  readonly technique: TechniqueId;
}

/** A way to go about it: one dose each time, or a knock-down first and another dose from then on. */
export interface Approach {
  readonly id: string;
  readonly first?: Dose;
  readonly then: Dose;
}

/**
 * The ways that are compared. Source: the schools of practice (common practice, no source); which of the many ways to put
 * a remedy on are worth comparing is our own choice (HOUSE).
 */
export const approaches = [
  { id: "alcoholDab", then: { remedy: "alcohol", technique: "dab" } },
  { id: "alcoholSwab", then: { remedy: "alcohol", technique: "sprayAndSwab" } },
  { id: "alcoholSpray", then: { remedy: "alcohol", technique: "spray" } },
  { id: "soapSpray", then: { remedy: "soap", technique: "spray" } },
  { id: "soapSwab", then: { remedy: "soap", technique: "sprayAndSwab" } },
  { id: "soapDunk", then: { remedy: "soap", technique: "dunk" } },
  { id: "oilSpray", then: { remedy: "oil", technique: "spray" } },
  { id: "oilSwab", then: { remedy: "oil", technique: "sprayAndSwab" } },
  { id: "neemSpray", then: { remedy: "neem", technique: "spray" } },
  { id: "neemDunk", then: { remedy: "neem", technique: "dunk" } },
  {
    id: "alcoholThenSoap",
    first: { remedy: "alcohol", technique: "sprayAndSwab" },
    then: { remedy: "soap", technique: "spray" },
  },
  {
    id: "alcoholThenNeem",
    first: { remedy: "alcohol", technique: "sprayAndSwab" },
    then: { remedy: "neem", technique: "spray" },
  },
] as const satisfies readonly Approach[];

export type ApproachId = (typeof approaches)[number]["id"];
export const approachIds = approaches.map((a) => a.id) as [ApproachId, ...ApproachId[]];

/** The approach with this id, as the general type. */
export function approachOf(id: ApproachId): Approach {
  return approaches.find((a) => a.id === id)!;
}
