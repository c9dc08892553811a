import { z } from "zod";
import { id } from "../../fields";
import { factKind } from "../kind";

export const addPlacePhoto = z.object({ id, placeId: id });
export type AddPlacePhoto = z.output<typeof addPlacePhoto>;

/** A picture of a place as it stood. The picture itself is read on its own. */
export const placePhoto = factKind({
  kind: "placePhoto",
  table: "place_photos",
  deed: addPlacePhoto,
  own: z.object({ placeId: z.string(), width: z.number(), height: z.number() }),
  columns: { placeId: "uuid", mediaType: "text", width: "integer", height: "integer", bytes: "bytes" },
  shownOn: ["place"],
});
