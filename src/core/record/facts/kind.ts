import { z } from "zod";

/** How an attribute is kept. `number` has fractions; `json` holds plain data with a shape of its own. */
export type ColumnType = "uuid" | "text" | "texts" | "boolean" | "integer" | "number" | "day" | "json" | "bytes";

/** Attributes of a table and how each is kept; the column is the attribute's name with underscores. */
export type Columns = Readonly<Record<string, ColumnType>>;

/** Rows that belong to a fact and are written and read with it. */
export interface Part {
  readonly table: string;
  /** The attribute of the part's rows that holds the id of their fact. */
  readonly of: string;
  readonly columns: Columns;
  /** The attributes by which they are sorted. */
  readonly order: readonly string[];
}

/** A page on which a fact stands in the record. */
export type ShownOn = "plant" | "case" | "place";

/**
 * One kind of fact: where it is kept, the shape it comes in with and the shape it is read back in. Everything that goes
 * through all kinds (writing, reading, striking out, the record on the pages) follows from these.
 */
export interface FactKind<
  K extends string = string,
  Command extends z.ZodType = z.ZodType,
  Own extends z.ZodRawShape = z.ZodRawShape,
> {
  readonly kind: K;
  readonly table: string;
  /** What a form or a device sends; it carries the id, made where the fact was recorded. */
  readonly command: Command;
  /** The attributes of its own, as they are read back, beside those that all facts have. */
  readonly own: z.ZodObject<Own>;
  /** How they are kept. What is of type `bytes` is not read back with the rest. */
  readonly columns: Columns;
  readonly parts?: Readonly<Record<string, Part>>;
  /** The last one that stands of these cannot be struck out: a plant stands somewhere. */
  readonly lastStaysOf?: string;
  readonly shownOn: readonly ShownOn[];
}

/** A fact kind as written down, its shapes kept exact. */
export function factKind<K extends string, Command extends z.ZodType, Own extends z.ZodRawShape>(
  kind: FactKind<K, Command, Own>,
): FactKind<K, Command, Own> {
  return kind;
}

/** What every fact has: when it happened, when and by whom it was written down, and why it was struck out, if it was. */
export const everyFact = z.object({
  id: z.string(),
  at: z.date(),
  recordedAt: z.date(),
  /** The name of the device or keeper that wrote it down; empty for what was written before names were asked for. */
  recordedBy: z.string(),
  /** The account of whoever wrote it down; null where nobody had one, or it came in with a file. */
  recordedAccount: z.string().nullable().optional(),
  voidReason: z.string().nullable(),
});
