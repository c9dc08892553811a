import type { AddPlacePhoto } from "@/core/facts/kinds/placePhoto";
import * as facts from "@/db/stores/facts";
import { PHOTO_LIMIT_BYTES } from "./addPhoto";
import type { Context } from "./context";
import { perform, type Outcome } from "./outcome";
import { knownPlace, pastMoment } from "./parts/checks";
import { keptPicture } from "./parts/pictures";

/** Keeps a photo of a place as it stands. */
export async function addPlacePhoto(
  context: Context,
  { bytes, ...deed }: AddPlacePhoto & { readonly bytes: Buffer },
): Promise<Outcome<{ id: string }>> {
  if (bytes.length > PHOTO_LIMIT_BYTES) return { ok: false, problems: [{ path: "photo", code: "photo_too_large" }] };
  const picture = await keptPicture(bytes);
  if (!picture) return { ok: false, problems: [{ path: "photo", code: "no_photo" }] };
  return perform(context, "record", deed.id, async (scope) => {
    if (await scope.wasSent("placePhoto", deed.id)) return { id: deed.id };
    await knownPlace(scope, deed.placeId);
    await facts.add(scope, "placePhoto", [{ ...deed, at: pastMoment(context, context.now), ...picture }]);
    return { id: deed.id };
  });
}
