import { z } from "zod";
import { id } from "../../../shared/fields";
import { factKind } from "../kind";

/** A photo larger than this is refused, before it is sent and after. */
export const PHOTO_LIMIT_MB = 10;

export const addPhoto = z.object({ id, lookId: id });
export type AddPhoto = z.output<typeof addPhoto>;

/** A picture taken at a look. The picture itself is read on its own. */
export const photo = factKind({
  kind: "photo",
  table: "photos",
  command: addPhoto,
  own: z.object({ lookId: z.string(), plantId: z.string(), width: z.number(), height: z.number() }),
  columns: {
    lookId: "uuid",
    plantId: "uuid",
    mediaType: "text",
    width: "integer",
    height: "integer",
    bytes: "bytes",
  },
  shownOn: [],
});
