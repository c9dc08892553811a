import { createHash } from "node:crypto";
import { DatabaseError, UniqueConstraintError } from "sequelize";
import yauzl from "yauzl";
import {
  COLLECTION_VERSION,
  collectionDigests,
  collectionHead,
  pictureEntry,
  sections,
  type CollectionDigests,
  type CollectionHead,
  type Section,
} from "@/core/record/format/collectionFile";
import { MOST_BOTTLES, type Bottle } from "@/core/knowledge/household/bottles";
import { standsAlone, standsIn } from "@/core/record/facts/commands";
import type { Place } from "@/core/record/facts/descriptions";
import { ringsIn } from "@/core/record/facts/placeOrder";
import * as carriage from "@/db/stores/plants/carriage";
import * as collections from "@/db/stores/collections";
import { putExperience } from "../record/putExperience";
import * as facts from "@/db/stores/record/facts";
import * as places from "@/db/stores/places/places";
import * as transfer from "@/db/stores/record/transfer";
import { scopeOf, type Context } from "../shared/context";
import type { Scope } from "@/db/connection";

/** What came of bringing a file in. */
export interface Imported {
  /** New descriptions and facts, and facts that were struck out there and stood here. */
  readonly added: number;
  readonly struckOut: number;
  /** Lines that were here already. */
  readonly known: number;
  /** Plants whose code another bears: what they are called now. */
  readonly renamed: readonly { readonly from: string; readonly to: string }[];
}

/** Why a file could not be brought in: where in it, and what is wrong there. Nothing of it has been. */
export class FileProblem extends Error {
  constructor(
    readonly entry: string,
    readonly line: number | null,
    readonly why: string,
  ) {
    super(`${entry}${line === null ? "" : `, line ${line}`}: ${why}`);
  }
}

/** It was stopped by whoever had begun it. */
export class Stopped extends Error {}

const LINES_AT_ONCE = 500;
const BYTES_AT_ONCE = 8_000_000;
const MOST_LINE_BYTES = 2_000_000;
const MOST_ENTRY_BYTES = 4_000_000_000;
const MOST_PICTURE_BYTES = 12_000_000;
const MOST_ENTRIES = 200_000;

/** What a file says of itself: which collection, and how much there is of it. */
export async function readHead(file: string): Promise<{ readonly head: CollectionHead; readonly lines: number }> {
  const zip = await open(file);
  try {
    return await headOf(zip);
  } finally {
    zip.close();
  }
}

/**
 * Brings a file into a collection, empty or running: what is there already stays as it is, by its id; what was struck out there is
 * struck out here. All of it comes in, or nothing; bringing it in again changes nothing. `more` is asked now and then whether to go on.
 * Throws {@link FileProblem} and {@link Stopped}.
 */
export async function importCollection(
  context: Context,
  file: string,
  progress: (done: number, of: number) => void = () => {},
  more: () => boolean = () => true,
): Promise<Imported> {
  scopeOf(context, "own");
  const zip = await open(file);
  try {
    const { head, digests, lines } = await headOf(zip);
    return await context.sequelize.transaction(
      { transaction: context.batch?.transaction ?? null },
      async (transaction) => {
        const scope = scopeOf(context, "own", transaction);
        // One file after the other, and after whatever is being derived.
        await facts.advisoryLock(scope, `${scope.collectionId} import`);
        const came = { added: 0, struckOut: 0, known: 0, renamed: [] as { from: string; to: string }[] };
        let done = 0;
        for (const section of sections) {
          const entry = zip.entries.get(section.entry);
          // A file of an earlier version may lack what there was not yet.
          if (!entry) continue;
          const codes = section.table === "plants" ? await transfer.codesInUse(scope) : null;
          let batch: Record<string, unknown>[] = [];
          const put = async (last: number) => {
            if (!more()) throw new Stopped();
            await putLines(scope, section, batch, zip, digests, codes, came, last);
            batch = [];
            progress(done, lines);
          };
          const sha256 = createHash("sha256");
          let n = 0;
          for await (const text of linesIn(await zip.read(entry), section.entry)) {
            sha256.update(text).update("\n");
            n++;
            done++;
            batch.push(parsed(section, text, n));
            // Places stand in each other: they come in together.
            if (batch.length >= LINES_AT_ONCE && section.table !== "places") await put(n);
          }
          if (section.table === "places") checkPlaces(batch, await places.all(scope));
          if (batch.length > 0) await put(n);
          checkDigest(digests, section.entry, n, sha256.digest("hex"));
        }
        await checkMothers(scope);
        came.added += await putBottles(scope, head.collection.bottles);
        if (head.collection.experience && !(await putExperience(scope, head.collection.experience)))
          throw new FileProblem("collection.json", null, "it tells of more keepers' experience than there is room for");
        await transfer.deriveAll(scope);
        await carriage.wantAll(scope);
        progress(lines, lines);
        return came;
      },
    );
  } finally {
    zip.close();
  }
}

async function putLines(
  scope: Scope,
  section: Section,
  batch: readonly Record<string, unknown>[],
  zip: Opened,
  digests: CollectionDigests,
  codes: Set<string> | null,
  came: { added: number; struckOut: number; known: number; renamed: { from: string; to: string }[] },
  last: number,
): Promise<void> {
  const keyOf = (line: Record<string, unknown>) => section.key.map((name) => String(line[name])).join("");
  const known = await transfer.there(scope, section, batch.map(keyOf));
  const seen = new Set<string>();
  const fresh = batch.filter((line) => !known.has(keyOf(line)) && !seen.has(keyOf(line)) && seen.add(keyOf(line)));
  came.known += batch.length - fresh.length;
  const add = async (lines: readonly (Record<string, unknown> & { bytes?: Buffer })[]) => {
    try {
      await transfer.addLines(scope, section, lines);
    } catch (error) {
      // A rule of the database is the file's to keep, as is an id that something else bears; anything else is ours.
      if (!(error instanceof DatabaseError || error instanceof UniqueConstraintError)) throw error;
      const why = error.parent instanceof Error ? error.parent.message : error.message;
      throw new FileProblem(section.entry, null, `something up to line ${last} cannot be kept: ${why}`);
    }
  };
  let lines: (Record<string, unknown> & { bytes?: Buffer })[] = [];
  let bytes = 0;
  for (const line of fresh) {
    const named = codes ? withFreeCode(line, codes, came.renamed) : line;
    const picture = section.pictures ? await pictureIn(zip, digests, String(line["id"])) : null;
    lines.push(picture ? { ...named, bytes: picture } : named);
    bytes += picture?.length ?? 0;
    // Pictures go in by their weight: hundreds in one statement are more than it can be long.
    if (bytes < BYTES_AT_ONCE) continue;
    await add(lines);
    [lines, bytes] = [[], 0];
  }
  await add(lines);
  came.added += fresh.length;
  if (!section.kind) return;
  const struck = batch.filter((line) => line["voidedAt"] !== null && known.has(keyOf(line)));
  came.struckOut += await transfer.strikeOut(scope, section, struck as never);
}

/** Each place stands where one of its kind may, in the file or here; so none stands in itself, by way of whatever others. */
function checkPlaces(lines: readonly Record<string, unknown>[], here: readonly Place[]): void {
  const incoming = lines as unknown as readonly Place[];
  const byId = new Map([...incoming, ...here].map((place) => [place.id, place]));
  const rings = new Set(ringsIn([...byId.values()]));
  for (const [i, { id, kind, parentId }] of incoming.entries()) {
    const parent = parentId === null ? null : byId.get(parentId);
    const why = (words: string) => new FileProblem("places.jsonl", i + 1, words);
    if (parent === undefined) throw why("it stands in a place that is neither in the file nor here");
    if (parent ? !standsIn[kind].includes(parent.kind) : !standsAlone.includes(kind))
      throw why(parent ? `a ${kind} does not stand in a ${parent.kind}` : `a ${kind} stands in another place`);
    if (rings.has(id)) throw why("it stands within itself");
  }
}

/** Bottles that are not in the cupboard yet; how many. What there is no room for stays out. */
async function putBottles(scope: Scope, bottles: readonly Bottle[]): Promise<number> {
  const there = await collections.lockBottles(scope);
  const fresh = bottles.filter(({ id }) => !there.some((one) => one.id === id)).slice(0, MOST_BOTTLES - there.length);
  if (fresh.length > 0) await collections.putBottles(scope, [...there, ...fresh]);
  return fresh.length;
}

/** Cuttings may stand before their mothers in a file; at its end each has one that is there. */
async function checkMothers(scope: Scope): Promise<void> {
  try {
    await transfer.checkMothers(scope);
  } catch (error) {
    if (!(error instanceof DatabaseError)) throw error;
    throw new FileProblem("plants.jsonl", null, "a cutting comes from a plant that is neither in the file nor here");
  }
}

const MOST_CODE = 24;

/** A plant whose code another in use bears is called otherwise: codes tell plants apart. */
function withFreeCode(
  line: Record<string, unknown>,
  codes: Set<string>,
  renamed: { from: string; to: string }[],
): Record<string, unknown> {
  if (line["archivedAt"] !== null) return line;
  const from = String(line["code"]);
  let to = from;
  for (let n = 2; codes.has(to.toLowerCase()); n++) {
    const behind = `-${n}`;
    to = `${from.slice(0, MOST_CODE - behind.length)}${behind}`;
  }
  codes.add(to.toLowerCase());
  if (to !== from) renamed.push({ from, to });
  return { ...line, code: to };
}

function parsed(section: Section, text: string, n: number): Record<string, unknown> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new FileProblem(section.entry, n, "it is no JSON");
  }
  const read = section.line.safeParse(value);
  if (read.success) return read.data;
  const { path, message } = read.error.issues[0]!;
  throw new FileProblem(section.entry, n, `${path.join(".")}: ${message}`);
}

async function pictureIn(zip: Opened, digests: CollectionDigests, id: string): Promise<Buffer> {
  const name = pictureEntry(id);
  const entry = zip.entries.get(name);
  if (!entry) throw new FileProblem(name, null, "the picture is missing");
  if (entry.uncompressedSize > MOST_PICTURE_BYTES) throw new FileProblem(name, null, "the picture is too large");
  const chunks: Buffer[] = [];
  for await (const chunk of await zip.read(entry)) chunks.push(chunk as Buffer);
  const bytes = Buffer.concat(chunks);
  checkDigest(digests, name, 1, createHash("sha256").update(bytes).digest("hex"));
  return bytes;
}

function checkDigest(digests: CollectionDigests, entry: string, lines: number, sha256: string): void {
  const said = digests[entry];
  if (said && (said.lines !== lines || said.sha256 !== sha256))
    throw new FileProblem(entry, null, "it is not as it was written: the file is damaged");
}

async function headOf(zip: Opened) {
  const head = collectionHead.safeParse(await json(zip, "collection.json"));
  if (!head.success) throw new FileProblem("collection.json", null, "this is no file of a collection");
  if (head.data.version > COLLECTION_VERSION)
    throw new FileProblem(
      "collection.json",
      null,
      "the file was written by a newer version; bring this one up to date",
    );
  const digests = collectionDigests.safeParse(await json(zip, "digests.json"));
  if (!digests.success)
    throw new FileProblem("digests.json", null, "the file was cut off, or is no file of a collection");
  const lines = Object.values(digests.data).reduce((sum, one) => sum + one.lines, 0);
  return { head: head.data, digests: digests.data, lines };
}

async function json(zip: Opened, name: string): Promise<unknown> {
  const entry = zip.entries.get(name);
  if (!entry || entry.uncompressedSize > 50_000_000) return null;
  const chunks: Buffer[] = [];
  for await (const chunk of await zip.read(entry)) chunks.push(chunk as Buffer);
  try {
    return JSON.parse(Buffer.concat(chunks).toString("utf8"));
  } catch {
    return null;
  }
}

/** The lines of an entry, without their ends; one that does not end soon is refused. */
async function* linesIn(stream: AsyncIterable<unknown>, entry: string): AsyncGenerator<string> {
  let rest = Buffer.alloc(0);
  let n = 0;
  for await (const chunk of stream) {
    rest = Buffer.concat([rest, chunk as Buffer]);
    for (let end = rest.indexOf(10); end >= 0; end = rest.indexOf(10)) {
      n++;
      yield rest.subarray(0, end).toString("utf8");
      rest = rest.subarray(end + 1);
    }
    if (rest.length > MOST_LINE_BYTES) throw new FileProblem(entry, n + 1, "the line is too long");
  }
  if (rest.length > 0) yield rest.toString("utf8");
}

interface Opened {
  readonly entries: ReadonlyMap<string, yauzl.Entry>;
  readonly read: (entry: yauzl.Entry) => Promise<AsyncIterable<unknown>>;
  readonly close: () => void;
}

/** Opens a zip and lists what is in it. */
function open(file: string): Promise<Opened> {
  const broken = (error: unknown) =>
    new FileProblem("the file", null, error instanceof Error ? error.message : "it is no zip");
  return new Promise((resolve, reject) => {
    yauzl.open(file, { lazyEntries: true, autoClose: false }, (error, zip) => {
      if (error) return reject(broken(error));
      const entries = new Map<string, yauzl.Entry>();
      zip.on("error", (cause) => reject(broken(cause)));
      zip.on("entry", (entry: yauzl.Entry) => {
        if (entries.size >= MOST_ENTRIES || entry.uncompressedSize > MOST_ENTRY_BYTES)
          return reject(new FileProblem(entry.fileName, null, "there is too much in it"));
        entries.set(entry.fileName, entry);
        zip.readEntry();
      });
      zip.on("end", () =>
        resolve({
          entries,
          read: (entry) =>
            new Promise((found, failed) =>
              zip.openReadStream(entry, (cause, stream) => (cause ? failed(broken(cause)) : found(stream))),
            ),
          close: () => zip.close(),
        }),
      );
      zip.readEntry();
    });
  });
}
