import { createHash } from "node:crypto";
import { Readable } from "node:stream";
import { Transaction } from "sequelize";
import yazl from "yazl";
import {
  COLLECTION_FORMAT,
  COLLECTION_VERSION,
  collectionFileSchema,
  pictureEntry,
  sections,
  type CollectionDigests,
  type CollectionHead,
} from "@/core/record/format/collectionFile";
import * as collections from "@/db/stores/collections";
import * as transfer from "@/db/stores/record/transfer";
import { scopeOf, type Context } from "../shared/context";

/** How far it is, in lines and pictures written. */
export type Progress = (done: number) => void;

/**
 * The whole of a collection as one file, as it stands at one moment. It is read as it is taken: whoever stops taking it stops the
 * reading. What follows from the facts is not in it.
 */
export function exportCollection(context: Context, progress: Progress = () => {}): Readable {
  // The right is asked for before anything is written.
  scopeOf(context, "read");
  const zip = new yazl.ZipFile();
  const out = zip.outputStream as Readable;
  const work = context.sequelize.transaction(
    { isolationLevel: Transaction.ISOLATION_LEVELS.REPEATABLE_READ },
    async (transaction) => {
      const scope = scopeOf(context, "read", transaction);
      const digests: Record<string, CollectionDigests[string]> = {};
      let done = 0;
      const head: CollectionHead = {
        format: COLLECTION_FORMAT,
        version: COLLECTION_VERSION,
        madeAt: context.now.toISOString(),
        collection: { ...settingsOf(context), experience: await collections.experience(scope) },
      };
      zip.addBuffer(Buffer.from(`${JSON.stringify(head, null, 2)}\n`), "collection.json");
      zip.addBuffer(Buffer.from(`${JSON.stringify(collectionFileSchema(), null, 2)}\n`), "schema.json");
      for (const section of sections) {
        const ids: string[] = [];
        await written(zip, section.entry, async function* () {
          const sha256 = createHash("sha256");
          let lines = 0;
          for await (const line of transfer.linesOf(scope, section)) {
            const text = `${JSON.stringify(line)}\n`;
            sha256.update(text);
            lines++;
            progress(++done);
            if (section.pictures) ids.push(String(line["id"]));
            yield text;
          }
          digests[section.entry] = { lines, sha256: sha256.digest("hex") };
        });
        for (const id of ids) {
          const bytes = await transfer.pictureOf(scope, section, id);
          if (!bytes) continue;
          const entry = pictureEntry(id);
          digests[entry] = { lines: 1, sha256: createHash("sha256").update(bytes).digest("hex") };
          // Pictures are packed already.
          await written(
            zip,
            entry,
            async function* () {
              yield bytes;
            },
            { compress: false },
          );
          progress(++done);
        }
      }
      zip.addBuffer(Buffer.from(`${JSON.stringify(digests, null, 2)}\n`), "digests.json");
      zip.end();
      await new Promise<void>((resolve, reject) => {
        out.once("end", resolve);
        out.once("close", resolve);
        out.once("error", reject);
      });
    },
  );
  work.catch((error: unknown) => out.destroy(error instanceof Error ? error : new Error(String(error))));
  return out;
}

/** Adds an entry and waits until it has been taken: entries are read one after the other, each only when its turn has come. */
function written(
  zip: yazl.ZipFile,
  name: string,
  content: () => AsyncGenerator<string | Buffer>,
  options: { compress?: boolean } = {},
): Promise<void> {
  return new Promise((resolve, reject) => {
    const stream = Readable.from(content(), { objectMode: false });
    const out = zip.outputStream as Readable;
    const gone = () => reject(new Error("nobody takes the file any more"));
    // Whoever takes it has gone.
    out.once("close", gone);
    stream.once("error", reject);
    stream.once("end", () => {
      out.off("close", gone);
      resolve();
    });
    zip.addReadStream(stream, name, options);
  });
}

function settingsOf({ collection }: Context): Omit<CollectionHead["collection"], "experience"> {
  const { isDemo: _demo, settingsVersion: _version, toldElsewhere: _told, ...settings } = collection;
  return settings;
}
