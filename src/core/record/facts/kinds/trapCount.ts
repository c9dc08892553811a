import { z } from "zod";
import { id, moment, orNothing, whole } from "../../../shared/fields";
import { factKind } from "../kind";

/** What gnats are counted on: all cards of a place together, a slice of potato on one pot, or a window. */
export const countedOn = ["cards", "slice", "window"] as const;
export type CountedOn = (typeof countedOn)[number];

const shape = {
  placeId: id,
  /** The plant on whose mix a slice lay; null for what is counted at a place. */
  plantId: orNothing(id),
  what: z.enum(countedOn),
  /** Since so many days, on cards that were clean then, or under a slice that lay so long. */
  days: whole(1, 60),
  count: whole(0, 5000),
};

export const countTraps = z
  .object({ id, ...shape, at: moment })
  .refine(({ what, plantId }) => (what === "slice") === (plantId !== null), {
    path: ["plantId"],
    params: { code: "required" },
  });
export type CountTraps = z.output<typeof countTraps>;

/** Where nothing was told of a count before it. */
export const nothingTold = { toldLow: null, toldHigh: null, toldWithin: null } as const;

/** Flies or larvae were counted; what was counted is gone afterwards. */
export const trapCount = factKind({
  kind: "trapCount",
  table: "trap_counts",
  command: countTraps,
  own: z.object({
    placeId: z.string(),
    plantId: z.string().nullable(),
    what: z.enum(countedOn),
    days: z.number(),
    count: z.number(),
    /** The span that was told of it before, and how likely it was to lie within; null where nothing current was told. */
    toldLow: whole(0, 20_000).nullable().default(null),
    toldHigh: whole(0, 20_000).nullable().default(null),
    toldWithin: z.number().min(0).max(1).nullable().default(null),
  }),
  columns: {
    ...{ placeId: "uuid", plantId: "uuid", what: "text", days: "integer", count: "integer" },
    ...{ toldLow: "integer", toldHigh: "integer", toldWithin: "number" },
  },
  shownOn: ["place", "plant"],
});
