import { createWriteStream } from "node:fs";
import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import path from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import type { ReadableStream as NodeStream } from "node:stream/web";
import { asked, askerNow, contextFor } from "@/app/_parts/server/context";
import { may } from "@/core/access/roles";
import { databaseUrl } from "@/env";
import { askFor } from "@/jobs/ask";
import { noteCommand } from "@/operations/access/people";
import { FileProblem, importCollection, Stopped } from "@/operations/transfer/importCollection";
import type { ImportLine } from "../_parts/importLine";

const MOST_BYTES = 4_000_000_000;
/** So often it says how far it is, ms. */
const EVERY_MS = 200;

/**
 * Brings a file into a collection. It answers line by line how far it is, and at last what came of it. Whoever goes away before that
 * stops it: then nothing of the file has come in.
 */
export async function POST(request: Request): Promise<Response> {
  const { device } = await asked();
  const context = await contextFor({ collectionId: request.headers.get("x-collection"), device });
  if (!context || context.collection.id !== request.headers.get("x-collection") || !may(context.role, "own"))
    return Response.json({ problem: "Only an owner can import." } satisfies ImportLine, { status: 403 });
  const asker = await askerNow();
  if (!request.body) return Response.json({ problem: "There is no file." } satisfies ImportLine, { status: 422 });
  const folder = await mkdtemp(path.join(tmpdir(), "wary-import-"));
  const file = path.join(folder, "file.zip");
  let gone = false;
  request.signal.addEventListener("abort", () => (gone = true));
  try {
    let bytes = 0;
    const counted = async function* (source: AsyncIterable<Uint8Array>) {
      for await (const chunk of source) {
        if ((bytes += chunk.length) > MOST_BYTES) throw new FileProblem("the file", null, "it is larger than 4 GB");
        yield chunk;
      }
    };
    await pipeline(Readable.fromWeb(request.body as NodeStream<Uint8Array>), counted, createWriteStream(file));
  } catch (error) {
    await rm(folder, { recursive: true, force: true });
    const problem = error instanceof FileProblem ? error.message : "The file arrived incomplete. Send it again.";
    return Response.json({ problem } satisfies ImportLine, { status: 422 });
  }
  const text = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (line: ImportLine) => {
        if (!gone) controller.enqueue(text.encode(`${JSON.stringify(line)}\n`));
      };
      let last = 0;
      try {
        const tell = (done: number, of: number) => {
          if (performance.now() - last < EVERY_MS) return;
          last = performance.now();
          say({ done, of });
        };
        const came = await importCollection(context, file, tell, () => !gone);
        await noteCommand(context, asker, "importCollection", "");
        await askFor(databaseUrl(), context.collection.id, "derive", "judge", "carry", "carryRest");
        say({ came });
      } catch (error) {
        if (!(error instanceof FileProblem || error instanceof Stopped)) console.error(error);
        say({
          problem:
            error instanceof FileProblem
              ? `Nothing was imported. ${error.message}.`
              : "It could not be imported, and nothing was changed. Try again in a moment.",
        });
      } finally {
        await rm(folder, { recursive: true, force: true });
        if (!gone) controller.close();
      }
    },
    cancel() {
      gone = true;
    },
  });
  return new Response(stream, { headers: { "content-type": "application/x-ndjson", "cache-control": "no-store" } });
}
