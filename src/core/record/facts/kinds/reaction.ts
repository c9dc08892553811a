import { z } from "zod";
import { id, moment, text } from "../../../shared/fields";
import { mixIds } from "../../../knowledge/mixes/mixes";
import { techniqueIds } from "../../../knowledge/remedies/remedies";
import { reactionIds } from "../../../knowledge/remedies/reactions";
import { factKind } from "../kind";

export const recordReaction = z.object({
  id,
  plantId: id,
  mix: z.enum(mixIds),
  technique: z.enum(techniqueIds),
  what: z.enum(reactionIds),
  at: moment,
  note: text(2000),
  /** It really was so long ago; asked for when it lies years back. */
  longAgo: z.boolean().optional(),
});
export type RecordReaction = z.output<typeof recordReaction>;

/** A plant has borne a treatment badly. */
export const reaction = factKind({
  kind: "reaction",
  table: "reactions",
  command: recordReaction,
  own: z.object({
    plantId: z.string(),
    mix: z.enum(mixIds),
    technique: z.enum(techniqueIds),
    what: z.enum(reactionIds),
    note: z.string(),
  }),
  columns: { plantId: "uuid", mix: "text", technique: "text", what: "text", note: "text" },
  shownOn: ["plant"],
});
