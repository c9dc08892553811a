import PQueue from "p-queue";
import sharp from "sharp";
import { PHOTO_LIMIT_MB } from "@/core/facts/kinds/photo";
import * as facts from "@/db/stores/facts";
import type { Context } from "./context";
import { perform, refuse, type Outcome } from "./outcome";
import { pastMoment } from "./parts/checks";

export const PHOTO_LIMIT_BYTES = PHOTO_LIMIT_MB * 1024 * 1024;
const LONGEST_SIDE = 1600;
/** A picture that unpacks to more pixels than this is a trap, or at least no use on a phone. */
const MOST_PIXELS = 70_000_000;
const PER_LOOK = 12;

/** What the first bytes of a file say it is, whatever its name and its sender say. */
const READABLE = new Set(["jpeg", "png", "webp", "heif", "tiff", "gif"]);

/** One picture is unpacked at a time, whoever sends how many: each takes its size in memory. */
const unpacking = new PQueue({ concurrency: 1 });

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
  const picture = await unpacking.add(() => scaledDown(deed.bytes));
  if (!picture) return { ok: false, problems: [{ path: "photo", code: "no_photo" }] };
  return perform(context, deed.id, async (scope) => {
    // Photos of one look go one after the other: each counts those before it.
    await facts.takeTurn(scope, `${deed.lookId} photos`);
    if (await facts.isRecorded(scope, "photo", deed.id)) return { id: deed.id };
    const look = await facts.find(scope, "look", deed.lookId);
    if (!look || look.voidReason !== null) return refuse("lookId", "unknown");
    if ((await facts.countStanding(scope, "photo", "lookId", look.id)) >= PER_LOOK) refuse("photo", "too_many_photos");
    const at = pastMoment(context, context.now);
    await facts.add(scope, "photo", [{ id: deed.id, lookId: look.id, plantId: look.plantId, at, ...picture }]);
    return { id: deed.id };
  });
}

/** The picture as it is kept, or null where the bytes are no picture that can be read. */
async function scaledDown(bytes: Buffer) {
  try {
    // Size and type stand at the beginning of the file: what is too large is never unpacked.
    const { format, width = 0, height = 0 } = await sharp(bytes).metadata();
    if (!format || !READABLE.has(format) || width * height > MOST_PIXELS) return null;
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "error", pages: 1 })
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
