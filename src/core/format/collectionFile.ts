import { z } from "zod";
import { keepBottle, MOST_BOTTLES } from "../household/bottles";
import { settings } from "../facts/settings";
import { factKindIds, factKindOf, type FactKindId } from "../facts/facts";
import type { ColumnType, Columns, Part } from "../facts/kind";
import { id } from "../fields";
import { pestIds } from "../pests/pests";
import { USUAL_WORTH } from "../plants/worth";

/**
 * The file of a whole collection: a zip with `collection.json`, one file of JSON lines for each section, the photos as they are,
 * and `digests.json` at its end. Plain data that any program reads; the schema goes with it.
 */
export const COLLECTION_FORMAT = "wary-petal.collection";
export const COLLECTION_VERSION = 2;

const moment = z.iso.datetime({ offset: true });

/** The first entry: which collection, written when, by which version of the format. */
export const collectionHead = z.object({
  format: z.literal(COLLECTION_FORMAT),
  version: z.int().min(1),
  madeAt: moment,
  collection: settings.extend({
    id,
    // Files of the first version say nothing of these.
    household: settings.shape.household.default([]),
    notAllowed: settings.shape.notAllowed.default([]),
    poisonCentre: settings.shape.poisonCentre.default(""),
    bottles: z.array(keepBottle).max(MOST_BOTTLES).default([]),
  }),
});
export type CollectionHead = z.output<typeof collectionHead>;

/** How many lines each entry has, and the SHA-256 of what stands in it. */
export const collectionDigests = z.record(z.string(), z.object({ lines: z.int(), sha256: z.string() }));
export type CollectionDigests = z.output<typeof collectionDigests>;

type Kept = Readonly<Record<string, ColumnType | "moment">>;

/** One file of JSON lines: what is described, or the facts of one kind. */
export interface Section {
  /** The entry's name in the zip. */
  readonly entry: string;
  readonly table: string;
  /** The attributes that tell its rows apart within a collection. */
  readonly key: readonly string[];
  readonly columns: Kept;
  readonly parts: Readonly<Record<string, Part>>;
  readonly line: z.ZodType<Record<string, unknown>>;
  /** The kind of its facts; null for descriptions. */
  readonly kind: FactKindId | null;
  /** Whether each line has a picture of its own, `photos/` and its id. */
  readonly pictures: boolean;
}

const values: Record<ColumnType | "moment", () => z.ZodType> = {
  uuid: () => id,
  text: () => z.string().max(10_000),
  texts: () => z.array(z.string().max(200)).max(200),
  boolean: () => z.boolean(),
  integer: () => z.int(),
  number: () => z.number(),
  day: () => z.iso.date(),
  json: () => z.unknown(),
  bytes: () => z.never(),
  moment: () => moment,
};

const shapeOf = (columns: Kept) =>
  Object.fromEntries(Object.entries(columns).map(([name, type]) => [name, values[type]().nullable()]));

/**
 * `later` holds what files of earlier versions do not say, with what was so before anybody could; `checked` the shape of what is
 * kept as one value and read back as another.
 */
function described(
  table: string,
  key: readonly string[],
  columns: Kept,
  later: Readonly<Record<string, unknown>> = {},
  checked: z.ZodRawShape = {},
): Section {
  const own = Object.fromEntries(key.map((name) => [name, id]));
  const shape = { ...shapeOf(columns), ...checked } as Record<string, z.ZodType>;
  const since = Object.fromEntries(Object.entries(later).map(([name, was]) => [name, shape[name]!.default(was)]));
  const line = z.object({ ...shape, ...own, ...since });
  return { entry: `${table}.jsonl`, table, key, columns, parts: {}, line, kind: null, pictures: false };
}

/** What every fact has beside its own. */
const everyLine = { id, at: moment, recordedAt: moment, recordedBy: z.string().max(200) };
const struckOut = { voidedAt: moment.nullable(), voidReason: z.string().max(200).nullable() };

function facts(kindId: FactKindId): Section {
  const { table, own, columns, parts = {} } = factKindOf(kindId);
  const plain = Object.fromEntries(Object.entries(columns).filter(([, type]) => type !== "bytes"));
  // What is kept beside the attributes that are read back, such as the kind of picture.
  const beside = shapeOf(Object.fromEntries(Object.entries(plain).filter(([name]) => !(name in own.shape))));
  const line = z.object({ ...own.shape, ...beside, ...everyLine, ...struckOut });
  const pictures = Object.values(columns).includes("bytes");
  return {
    entry: `facts/${kindId}.jsonl`,
    table,
    key: ["id"],
    columns: plain as Columns,
    parts,
    line,
    kind: kindId,
    pictures,
  };
}

/** Facts that others point to come before those. */
const ORDER: readonly FactKindId[] = ["look", "programme"];
const ordered = [...ORDER, ...factKindIds.filter((kind) => !ORDER.includes(kind))];

/** Every section, in the order in which they are written and read: what others point to first. */
export const sections: readonly Section[] = [
  described("places", ["id"], {
    ...{ name: "text", kind: "text", parentId: "uuid", roomFor: "integer", doorShut: "boolean", dripsOn: "uuid" },
  }),
  described(
    "plants",
    ["id"],
    {
      ...{ code: "text", name: "text", genus: "text", growthForm: "text", potCm: "number", acquiredOn: "day" },
      ...{ seller: "text", inBud: "boolean", inFlower: "boolean", careAdded: "texts", careWithout: "texts" },
      ...{
        motherId: "uuid",
        inherits: "json",
        worth: "text",
        kept: "text",
        recordedBy: "text",
        addedAt: "moment",
        archivedAt: "moment",
      },
    },
    { worth: USUAL_WORTH, kept: null, motherId: null, inherits: {} },
    { inherits: z.partialRecord(z.enum(pestIds), z.number().min(0).max(1)) },
  ),
  described("walks", ["id"], {
    ...{ scope: "text", placeId: "uuid", tool: "text", round: "text", startedAt: "moment", endedAt: "moment" },
    ...{ recordedAt: "moment", recordedBy: "text" },
  }),
  described("walk_plants", ["walkId", "plantId"], {
    ...{ placeId: "uuid", state: "text", petals: "integer", apart: "boolean" },
    ...{ rank: "integer", tool: "text", round: "text" },
  }),
  ...ordered.map(facts),
];

/** The entry of a picture. @example pictureEntry("…") // "photos/…" */
export const pictureEntry = (factId: string) => `photos/${factId}`;

/** The JSON Schema of the lines, by entry. */
export function collectionFileSchema(): object {
  const lines = Object.fromEntries(
    sections.map(({ entry, line }) => [entry, z.toJSONSchema(line, { unrepresentable: "any", io: "input" })]),
  );
  const head = z.toJSONSchema(collectionHead, { unrepresentable: "any", io: "input" });
  return { format: COLLECTION_FORMAT, version: COLLECTION_VERSION, entries: { "collection.json": head, ...lines } };
}
