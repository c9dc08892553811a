import { answered, readUpTo, tooLarge } from "@/app/_parts/server/answer";
import { runCommand } from "@/app/_parts/server/runCommand";
import { addPlacePhoto as shape, type AddPlacePhoto } from "@/core/record/facts/kinds/placePhoto";
import { PHOTO_LIMIT_BYTES } from "@/operations/looks/commands/addPhoto";
import { addPlacePhoto } from "@/operations/places/commands/addPlacePhoto";
import type { Context } from "@/operations/shared/context";

/** Keeps the photo in the body with a place, or with the count that was made on it (`?count=`). Not more than the limit is read. */
export async function PUT(
  request: Request,
  { params }: { params: Promise<{ id: string; photoId: string }> },
): Promise<Response> {
  const { id: placeId, photoId: id } = await params;
  const countId = new URL(request.url).searchParams.get("count");
  const bytes = await readUpTo(request.body, PHOTO_LIMIT_BYTES);
  if (!bytes) return tooLarge();
  const keep = (context: Context, input: AddPlacePhoto) => addPlacePhoto(context, { ...input, bytes });
  return answered(
    await runCommand(request.headers.get("x-collection"), "addPlacePhoto", shape, keep, { id, placeId, countId }),
  );
}
