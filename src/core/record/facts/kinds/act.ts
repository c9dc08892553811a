import { z } from "zod";
import { act as anyAct } from "../../../acts/acts";
import { id, moment, orNothing, text } from "../../../shared/fields";
import { factKind } from "../kind";

export const recordAct = z
  .object({
    id,
    /** What it was done to: a plant, or a place with all that stands there. One of the two. */
    plantId: orNothing(id),
    placeId: orNothing(id),
    /** The case it belongs to, if any. */
    caseId: orNothing(id),
    /** The planned step it carries out, if any. */
    stepId: orNothing(id),
    act: anyAct,
    at: moment,
    note: text(2000),
    /** It happened although the application advises against it. */
    alreadyDone: z.boolean(),
    longAgo: z.boolean().optional(),
  })
  .refine((command) => (command.plantId === null) !== (command.placeId === null), {
    path: ["plantId"],
    params: { code: "required" },
  });
export type RecordAct = z.output<typeof recordAct>;

/** Something was done with the hands, to a plant or to a place. */
export const act = factKind({
  kind: "act",
  table: "acts",
  command: recordAct,
  own: z.object({
    plantId: z.string().nullable(),
    placeId: z.string().nullable(),
    /** The case it was filed under; null for what belongs to none. */
    caseId: z.string().nullable(),
    stepId: z.string().nullable(),
    act: anyAct,
    note: z.string(),
  }),
  columns: { plantId: "uuid", placeId: "uuid", caseId: "uuid", stepId: "uuid", act: "json", note: "text" },
  shownOn: ["plant", "case", "place"],
});
