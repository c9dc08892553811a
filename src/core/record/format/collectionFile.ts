import { z } from "zod";
import { keepBottle, MOST_BOTTLES } from "../../knowledge/household/bottles";
import { settings, usualSettings } from "../facts/settings";
import { addPlace, addPlant, arrangePlaces, placeKinds, startWalk } from "../facts/commands";
import { trueExperience } from "./experienceFile";
import { factKindIds, factKindOf, type FactKindId } from "../facts/facts";
import type { ColumnType, Columns, Part } from "../facts/kind";
import { dayField, id, moment as instant, orNothing, text, whole } from "../../shared/fields";
import { pestIds } from "../../knowledge/pests/pests";
import { plantStates } from "../../knowledge/plants/states";
import { USUAL_PLANT_VALUE } from "../../knowledge/plants/plantValue";

/**
 * The file of a whole collection: a zip with `collection.json`, one file of JSON lines for each section, the photos as they are,
 * and `digests.json` at its end. Plain data that any program reads; the schema goes with it.
 */
export const COLLECTION_FORMAT = "wary-petal.collection";
export const COLLECTION_VERSION = 2;

/** An instant as text: what a form takes, kept as it stands. */
const moment = as(instant);

/** What some schema takes, kept as it came in. */
function as(shape: z.ZodType): z.ZodType {
  return z.unknown().superRefine((value, context) => {
    const read = shape.safeParse(value);
    if (!read.success) for (const issue of read.error.issues) context.addIssue({ ...issue, code: "custom" });
  });
}

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
    everyDays: settings.shape.everyDays.default(usualSettings.everyDays),
    bottles: z.array(keepBottle).max(MOST_BOTTLES).default([]),
    experience: trueExperience.nullable().default(null),
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
  text: () => as(text(10_000)),
  texts: () => z.array(as(text(200))).max(200),
  boolean: () => z.boolean(),
  integer: () => z.int().min(-2_000_000_000).max(2_000_000_000),
  number: () => z.number().min(-1e12).max(1e12),
  day: () => as(dayField),
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

/** Attributes of a command that describes, held against its own schema, and kept as they came in. */
function ofCommand<S extends z.ZodRawShape>(
  command: z.ZodObject<S>,
  ...names: readonly (keyof S & string)[]
): z.ZodRawShape {
  return Object.fromEntries(names.map((name) => [name, as(command.shape[name] as unknown as z.ZodType)]));
}

/** What every fact has beside its own. */
const everyLine = { id, at: moment, recordedAt: moment, recordedBy: as(text(60)) };
const struckOut = { voidedAt: moment.nullable(), voidReason: as(text(200)).nullable() };

const chance = z.number().min(0).max(1);
const pixels = whole(1, 100_000);
/** What a picture is, once it has been taken in. */
const mediaType = z.enum(["image/jpeg", "image/png", "image/webp"]);
/** Treatments of a plan and the looks after it. */
const MOST_STEPS = 60;

/** Attributes of facts that no command carries, since the application fills them in: what they may hold. */
const filledIn: Partial<Record<FactKindId, Readonly<Record<string, z.ZodType>>>> = {
  placement: { slot: orNothing(z.number().min(-1e9).max(1e9)) },
  closing: { pClear: chance.nullable(), reach: z.object({ weights: z.array(chance) }).nullable() },
  programme: { pOver: chance.nullable(), steps: z.array(z.object({ id, dueOn: dayField })).max(MOST_STEPS) },
  photo: { width: pixels, height: pixels, mediaType },
  placePhoto: { width: pixels, height: pixels, mediaType },
  climateDay: { forDay: dayField },
};

/** The attributes of a command by name; none where it has more than one shape. */
function commandShape(command: z.ZodType): Readonly<Record<string, z.ZodType>> {
  return "shape" in command ? (command.shape as Record<string, z.ZodType>) : {};
}

function facts(kindId: FactKindId): Section {
  const { table, own, columns, parts = {}, command } = factKindOf(kindId);
  const plain = Object.fromEntries(Object.entries(columns).filter(([, type]) => type !== "bytes"));
  // What is kept beside the attributes that are read back, such as the kind of picture.
  const beside = shapeOf(Object.fromEntries(Object.entries(plain).filter(([name]) => !(name in own.shape))));
  // A file may write nothing that no form may: each attribute is held against the command that carries it, by its own schema.
  const forms = commandShape(command);
  const checks = { ...filledIn[kindId] };
  const kept = (name: string): readonly z.ZodType[] => {
    const type = plain[name];
    return type === undefined || type === "json" ? [] : [values[type]().nullable()];
  };
  const checked = Object.fromEntries(
    Object.entries<z.ZodType>({ ...(own.shape as Record<string, z.ZodType>), ...beside }).map(([name, shape]) => {
      const asked = [checks[name], forms[name]].filter((one) => one !== undefined);
      const all = [...kept(name), ...asked.map((one) => orNothing(one))];
      const read = all.reduce((last, one) => as(one).pipe(last), shape);
      // What files of before say nothing of is what the shape says it was then.
      const unsaid = shape.safeParse(undefined);
      return [name, unsaid.success && unsaid.data !== undefined ? read.default(unsaid.data) : read];
    }),
  );
  const line = z.object({ ...checked, ...everyLine, ...struckOut });
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
const ORDER: readonly FactKindId[] = ["look", "programme", "trapCount"];
const ordered = [...ORDER, ...factKindIds.filter((kind) => !ORDER.includes(kind))];

/** Every section, in the order in which they are written and read: what others point to first. */
export const sections: readonly Section[] = [
  described(
    "places",
    ["id"],
    {
      ...{ name: "text", kind: "text", parentId: "uuid", roomFor: "integer", doorShut: "boolean", dripsOn: "uuid" },
      ...{ light: "text", heightCm: "number", planColumn: "integer", planRow: "integer" },
    },
    { light: null, heightCm: null, planColumn: null, planRow: null },
    {
      ...ofCommand(addPlace, "name", "roomFor", "light"),
      // Kept as a number.
      heightCm: z.number().min(0).max(400).nullable(),
      ...{ kind: z.enum(placeKinds), doorShut: z.boolean() },
      planColumn: arrangePlaces.shape.places.element.shape.column.nullable(),
      planRow: arrangePlaces.shape.places.element.shape.row.nullable(),
    },
  ),
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
    { worth: USUAL_PLANT_VALUE, kept: null, motherId: null, inherits: {} },
    {
      ...ofCommand(addPlant, "code", "name", "genus", "growthForm", "acquiredOn", "seller", "worth", "kept"),
      ...ofCommand(addPlant, "careAdded", "careWithout"),
      // Kept as a number.
      potCm: z.number().min(1).max(200),
      ...{ inBud: z.boolean(), inFlower: z.boolean(), recordedBy: as(text(60)), addedAt: moment },
      inherits: z.partialRecord(z.enum(pestIds), z.number().min(0).max(1)),
    },
  ),
  described(
    "walks",
    ["id"],
    {
      ...{ scope: "text", placeId: "uuid", tool: "text", round: "text", startedAt: "moment", endedAt: "moment" },
      ...{ recordedAt: "moment", recordedBy: "text" },
    },
    {},
    {
      ...ofCommand(startWalk, "scope", "tool", "round"),
      startedAt: moment,
      recordedAt: moment,
      recordedBy: as(text(60)),
    },
  ),
  described(
    "walk_plants",
    ["walkId", "plantId"],
    {
      ...{ placeId: "uuid", state: "text", petals: "integer", apart: "boolean" },
      ...{ rank: "integer", tool: "text", round: "text" },
    },
    {},
    {
      ...{ placeId: id, state: z.enum(plantStates), petals: z.int().min(0).max(5), apart: z.boolean() },
      ...{ rank: z.int().min(0).max(100_000).nullable(), tool: startWalk.shape.tool.nullable() },
      round: startWalk.shape.round.nullable(),
    },
  ),
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
