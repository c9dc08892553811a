import { z } from "zod";
import { deed } from "@/app/_parts/deed";
import { isSameOrigin } from "@/app/_parts/sameOrigin";
import { id } from "@/core/fields";
import { addPhoto, PHOTO_LIMIT_BYTES } from "@/operations/addPhoto";

const address = z.object({ id, lookId: id });

/** Keeps the photo in the body with a look. Not more than the limit is read. */
export async function PUT(
  request: Request,
  { params }: { params: Promise<{ id: string; photoId: string }> },
): Promise<Response> {
  if (!isSameOrigin(request)) return new Response("Only for pages of this application.", { status: 403 });
  const { id: lookId, photoId } = await params;
  const bytes = await readUpTo(request.body, PHOTO_LIMIT_BYTES + 1);
  const result = await deed(address, (context, input) => addPhoto(context, { ...input, bytes }), {
    id: photoId,
    lookId,
  });
  return Response.json(result, { status: !result.ok && result.retry ? 503 : 200 });
}

async function readUpTo(body: ReadableStream<Uint8Array> | null, most: number): Promise<Buffer> {
  const chunks: Uint8Array[] = [];
  let length = 0;
  const reader = body?.getReader();
  while (reader && length < most) {
    const { done, value } = await reader.read();
    if (done) break;
    chunks.push(value);
    length += value.length;
  }
  await reader?.cancel();
  return Buffer.concat(chunks);
}
