import { PHOTO_LIMIT_MB } from "@/core/record/facts/kinds/photo";
import * as facts from "@/db/stores/record/facts";
import type { Context } from "../../shared/context";
import { transact, refuse, type Outcome } from "../../shared/outcome";
import { pastMoment } from "../../shared/checks";
import { keptPicture } from "../../shared/pictures";

export const PHOTO_LIMIT_BYTES = PHOTO_LIMIT_MB * 1024 * 1024;
const PER_LOOK = 12;

/** Keeps a photo with a look. */
export async function addPhoto(
  context: Context,
  command: { id: string; lookId: string; bytes: Buffer },
): Promise<Outcome<{ id: string }>> {
  if (command.bytes.length > PHOTO_LIMIT_BYTES)
    return { ok: false, problems: [{ path: "photo", code: "photo_too_large" }] };
  const picture = await keptPicture(command.bytes);
  if (!picture) return { ok: false, problems: [{ path: "photo", code: "no_photo" }] };
  return transact(context, "tend", command.id, async (scope) => {
    // Photos of one look go one after the other: each counts those before it.
    await facts.advisoryLock(scope, `${command.lookId} photos`);
    if (await scope.wasSent("photo", command.id)) return { id: command.id };
    const look = await facts.find(scope, "look", command.lookId);
    if (!look || look.voidReason !== null) return refuse("lookId", "unknown");
    if ((await facts.countStanding(scope, "photo", "lookId", look.id)) >= PER_LOOK) refuse("photo", "too_many_photos");
    const at = pastMoment(context, context.now);
    await facts.add(scope, "photo", [{ id: command.id, lookId: look.id, plantId: look.plantId, at, ...picture }]);
    return { id: command.id };
  });
}
