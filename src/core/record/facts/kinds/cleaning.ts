import { z } from "zod";
import { id, moment } from "../../../shared/fields";
import { factKind } from "../kind";

export const recordCleaning = z.object({
  id,
  /** The walk on which it was done, if any. */
  walkId: id.nullish(),
  at: moment,
});
export type RecordCleaning = z.output<typeof recordCleaning>;

/** Hands and tools were cleaned: what was touched before carries nothing on to what is touched after. */
export const cleaning = factKind({
  kind: "cleaning",
  table: "cleanings",
  command: recordCleaning,
  own: z.object({ walkId: z.string().nullable() }),
  columns: { walkId: "uuid" },
  shownOn: [],
});
