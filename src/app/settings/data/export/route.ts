import { createReadStream, createWriteStream } from "node:fs";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import PQueue from "p-queue";
import { currentContext } from "@/app/_parts/server/context";
import { today, type Context } from "@/operations/shared/context";
import { exportCollection } from "@/operations/transfer/exportCollection";

/** One file is written at a time, whoever asks: each holds a connection until it is whole, and none while somebody takes it. */
const shared = globalThis as typeof globalThis & { waryExports?: PQueue };

/** The whole collection as a file. It is written down first and sent then: whoever asks and does not read keeps nobody waiting. */
export async function GET(request: Request): Promise<Response> {
  const context = await currentContext();
  const queue = (shared.waryExports ??= new PQueue({ concurrency: 1 }));
  const folder = await mkdtemp(path.join(tmpdir(), "wary-export-"));
  const forget = () => rm(folder, { recursive: true, force: true });
  try {
    const file = path.join(folder, "collection.zip");
    await queue.add(() => written(context, file, request.signal), { signal: request.signal });
    const reading = createReadStream(file);
    reading.once("close", () => void forget());
    const name = context.collection.name.replaceAll(/[^\p{L}\p{N}]+/gu, "-");
    return new Response(Readable.toWeb(reading) as ReadableStream<Uint8Array>, {
      headers: {
        "content-type": "application/zip",
        "cache-control": "private, no-store",
        "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(`${name}-${today(context)}.collection.zip`)}`,
      },
    });
  } catch (error) {
    await forget();
    throw error;
  }
}

async function written(context: Context, file: string, signal: AbortSignal): Promise<void> {
  await pipeline(exportCollection(context), createWriteStream(file, { mode: 0o600 }), { signal });
}
