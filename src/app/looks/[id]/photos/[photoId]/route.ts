import { answered, readUpTo, tooLarge } from "@/app/_parts/server/answer";
import { runCommand } from "@/app/_parts/server/runCommand";
import { another, isAnothers } from "@/app/_parts/server/whose";
import { addPhoto as addPhotoShape, type AddPhoto } from "@/core/record/facts/kinds/photo";
import { addPhoto, PHOTO_LIMIT_BYTES } from "@/operations/looks/commands/addPhoto";
import type { Context } from "@/operations/shared/context";

/** Keeps the photo in the body with a look. Not more than the limit is read. */
export async function PUT(
  request: Request,
  { params }: { params: Promise<{ id: string; photoId: string }> },
): Promise<Response> {
  if (await isAnothers(request.headers)) return answered(another);
  const { id: lookId, photoId: id } = await params;
  const bytes = await readUpTo(request.body, PHOTO_LIMIT_BYTES);
  if (!bytes) return tooLarge();
  const keep = (context: Context, input: AddPhoto) => addPhoto(context, { ...input, bytes });
  return answered(
    await runCommand(request.headers.get("x-collection"), "addPhoto", addPhotoShape, keep, { id, lookId }),
  );
}
