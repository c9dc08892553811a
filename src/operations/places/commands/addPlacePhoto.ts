import type { AddPlacePhoto } from "@/core/record/facts/kinds/placePhoto";
import * as facts from "@/db/stores/record/facts";
import { PHOTO_LIMIT_BYTES } from "../../looks/commands/addPhoto";
import type { Context } from "../../shared/context";
import { refuse, transact, type Outcome } from "../../shared/outcome";
import { knownPlace, pastMoment } from "../../shared/checks";
import { keptPicture } from "../../shared/pictures";

/** Keeps a photo of a place as it stands, or of a card counted there: who may count may show on what. */
export async function addPlacePhoto(
  context: Context,
  { bytes, ...command }: AddPlacePhoto & { readonly bytes: Buffer },
): Promise<Outcome<{ id: string }>> {
  if (bytes.length > PHOTO_LIMIT_BYTES) return { ok: false, problems: [{ path: "photo", code: "photo_too_large" }] };
  const picture = await keptPicture(bytes);
  if (!picture) return { ok: false, problems: [{ path: "photo", code: "no_photo" }] };
  return transact(context, command.countId === null ? "record" : "tend", command.id, async (scope) => {
    if (await scope.wasSent("placePhoto", command.id)) return { id: command.id };
    await knownPlace(scope, command.placeId);
    if (command.countId !== null) {
      const count = await facts.find(scope, "trapCount", command.countId);
      if (count?.placeId !== command.placeId) refuse("countId", "unknown");
    }
    await facts.add(scope, "placePhoto", [{ ...command, at: pastMoment(context, context.now), ...picture }]);
    return { id: command.id };
  });
}
