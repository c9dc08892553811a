import PQueue from "p-queue";
import sharp from "sharp";

const LONGEST_SIDE = 1600;
/** A picture that unpacks to more pixels than this is a trap, or at least no use on a phone. */
const MOST_PIXELS = 70_000_000;

/** What the first bytes of a file say it is, whatever its name and its sender say. */
const READABLE = new Set(["jpeg", "png", "webp", "heif", "tiff", "gif"]);

/** One picture is unpacked at a time, whoever sends how many: each takes its size in memory. */
const unpacking = new PQueue({ concurrency: 1 });

/**
 * A picture as it is kept: turned upright, scaled down to 1600 pixels, without anything the camera wrote beside it, the position
 * above all. The type is read from the content. Null where the bytes are no picture that can be read.
 */
export async function keptPicture(bytes: Buffer) {
  return (await unpacking.add(() => scaledDown(bytes))) ?? null;
}

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
