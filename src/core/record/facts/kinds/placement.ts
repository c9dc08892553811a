import { z } from "zod";
import { id, moment, orNothing } from "../../../shared/fields";
import { factKind } from "../kind";

export const movePlant = z.object({
  id,
  plantId: id,
  placeId: id,
  at: moment,
  /** The plant behind which it comes to stand in the row, `first` for the front; left out where nobody says. */
  after: z.union([id, z.literal("first")]).nullish(),
});
export type MovePlant = z.output<typeof movePlant>;

/** `placeId` is an isolation place, or null for a bag tied over the pot where it stands. */
export const setApart = z.object({ id, plantId: id, placeId: orNothing(id), bagId: id, at: moment });
export type SetApart = z.output<typeof setApart>;

/** A plant was put somewhere. */
export const placement = factKind({
  kind: "placement",
  table: "placements",
  command: movePlant,
  own: z.object({
    plantId: z.string(),
    placeId: z.string(),
    /** Where in the row of the place, from left to right; null where nobody has said. */
    slot: z.number().nullable(),
  }),
  columns: { plantId: "uuid", placeId: "uuid", slot: "number" },
  lastStaysOf: "plantId",
  shownOn: ["plant"],
});
