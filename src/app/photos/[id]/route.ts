import { currentContext } from "@/app/_parts/server/context";
import { readPhoto } from "@/operations/looks/queries/readPhoto";

/** A photo as it is kept. It never changes, but may be struck out: only this browser keeps it, for a while. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const photo = await readPhoto(await currentContext(), (await params).id);
  if (!photo) return new Response("No such photo.", { status: 404 });
  return new Response(new Uint8Array(photo.bytes), {
    headers: {
      "content-type": photo.mediaType,
      "cache-control": "private, max-age=600",
      "x-content-type-options": "nosniff",
    },
  });
}
