import { Readable } from "node:stream";
import { currentContext } from "@/app/_parts/context";
import { today } from "@/operations/context";
import { exportCollection } from "@/operations/transfer/exportCollection";

/** The whole collection as a file, written as it is taken. */
export async function GET(): Promise<Response> {
  const context = await currentContext();
  const name = context.collection.name.replaceAll(/[^\p{L}\p{N}]+/gu, "-");
  const stream = Readable.toWeb(exportCollection(context)) as ReadableStream<Uint8Array>;
  return new Response(stream, {
    headers: {
      "content-type": "application/zip",
      "cache-control": "private, no-store",
      "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(`${name}-${today(context)}.collection.zip`)}`,
    },
  });
}
