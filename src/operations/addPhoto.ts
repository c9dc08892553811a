import sharp from "sharp";
import { PHOTO_LIMIT_MB } from "@/core/facts/deeds";
import * as facts from "@/db/stores/facts";
import * as looks from "@/db/stores/looks";
import * as photos from "@/db/stores/photos";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";

export const PHOTO_LIMIT_BYTES = PHOTO_LIMIT_MB * 1024 * 1024;
const LONGEST_SIDE = 1600;
/** A picture that unpacks to more than this many pixels is a trap, or at least no use on a phone. */
const MOST_PIXELS = 100_000_000;
const PER_LOOK = 12;

/** What the first bytes of a file say it is, whatever its name and its sender say. */
const READABLE = new Set(["jpeg", "png", "webp", "heif", "tiff", "gif"]);

/**
 * Keeps a photo with a look: turned upright, scaled down to 1600 pixels, without anything the camera wrote beside the picture,
 * the position above all. The type is read from the content.
 */
export async function addPhoto(
  context: Context,
  deed: { id: string; lookId: string; bytes: Buffer },
): Promise<Outcome<{ id: string }>> {
  if (deed.bytes.length > PHOTO_LIMIT_BYTES)
    return { ok: false, problems: [{ path: "photo", code: "photo_too_large" }] };
  const picture = await scaledDown(deed.bytes);
  if (!picture) return { ok: false, problems: [{ path: "photo", code: "no_photo" }] };
  return perform(context, deed.id, async (scope) => {
    if (await facts.isRecorded(scope, "photos", deed.id)) return { id: deed.id };
    const look = await looks.find(scope, deed.lookId);
    if (!look || look.voidReason !== null) return refuse("lookId", "unknown");
    if ((await photos.countOf(scope, look.id)) >= PER_LOOK) refuse("photo", "too_many_photos");
    await photos.add(scope, { id: deed.id, lookId: look.id, ...picture }, context.now);
    return { id: deed.id };
  });
}

/** The picture as it is kept, or null where the bytes are no picture that can be read. */
async function scaledDown(bytes: Buffer) {
  try {
    const options = { limitInputPixels: MOST_PIXELS, failOn: "error" as const };
    const { format } = await sharp(bytes, options).metadata();
    if (!format || !READABLE.has(format)) return null;
    const { data, info } = await sharp(bytes, options)
      .rotate()
      .resize(LONGEST_SIDE, LONGEST_SIDE, { fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    return { mediaType: "image/jpeg", width: info.width, height: info.height, bytes: data };
  } catch {
    return null;
  }
}
