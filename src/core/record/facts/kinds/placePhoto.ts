import { z } from "zod";
import { id, orNothing } from "../../../shared/fields";
import { factKind } from "../kind";

export const addPlacePhoto = z.object({
  id,
  placeId: id,
  /** The count that was made on this picture, of a sticky card; null for the place as it stood. */
  countId: orNothing(id).default(null),
});
export type AddPlacePhoto = z.output<typeof addPlacePhoto>;

/** A picture of a place as it stood, or of a card that hung there. The picture itself is read on its own. */
export const placePhoto = factKind({
  kind: "placePhoto",
  table: "place_photos",
  command: addPlacePhoto,
  own: z.object({
    placeId: z.string(),
    countId: z.string().nullable().default(null),
    width: z.number(),
    height: z.number(),
  }),
  columns: { placeId: "uuid", countId: "uuid", mediaType: "text", width: "integer", height: "integer", bytes: "bytes" },
  shownOn: ["place"],
});
