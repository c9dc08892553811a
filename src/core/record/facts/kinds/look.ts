import { z } from "zod";
import { signIds } from "../../../knowledge/signs/signs";
import { suspectIds } from "../../../knowledge/signs/suspects";
import { id, moment, orNothing, text, whole } from "../../../shared/fields";
import { severityIds } from "../../../model/inspection/severity";
import { toolIds } from "../../../model/inspection/tools";
import { pestIds, pestOf } from "../../../knowledge/pests/pests";
import { spotIds } from "../../../knowledge/plants/spots";
import { factKind } from "../kind";

const findSeen = z
  .object({
    id,
    /** The id of the case, should this find open one. */
    caseId: id,
    pest: z.enum(pestIds),
    severity: z.enum(severityIds),
    count: orNothing(whole(1, 100_000)),
    removed: z.boolean(),
    /** Where they sat, and the life stages that were seen. */
    spots: z.array(z.enum(spotIds)).max(spotIds.length).optional(),
    stages: z.array(text(20)).max(12).optional(),
  })
  .refine(({ pest, stages = [] }) => stages.every((stage) => pestOf(pest).stages.some((one) => one.id === stage)), {
    path: ["stages"],
    params: { code: "unknown" },
  });

const someSigns = z.array(z.enum(signIds)).max(signIds.length);

/** How the pest was named: the signs looked for, what they spoke for, and whether they or the keeper had the last word. */
const naming = z.object({
  present: someSigns,
  absent: someSigns,
  by: z.enum(["signs", "keeper"]),
  likeliest: z.enum(suspectIds).nullable(),
  /** Nobody could say what it is: the signs stay open until a test or a find names it. */
  open: z.boolean().optional(),
});
export type Naming = z.output<typeof naming>;

export const recordLook = z.object({
  id,
  plantId: id,
  at: moment,
  tool: z.enum(toolIds),
  spots: z.array(z.enum(spotIds)).min(1).max(spotIds.length),
  note: text(2000),
  finds: z.array(findSeen).max(pestIds.length),
  /** The walk it was made on. */
  walkId: id.nullish(),
  /** False when one side of the plant stayed unseen. */
  turned: z.boolean().optional(),
  naming: naming.nullish(),
  /** So many leaves have opened since the last look and carry no mark. */
  newLeaves: orNothing(whole(1, 200)).optional(),
  /** It really was so long ago; asked for when it lies years back. */
  longAgo: z.boolean().optional(),
});
export type RecordLook = z.output<typeof recordLook>;

const chance = z.number().min(0).max(1);

const find = z.object({
  id: z.string(),
  /** The case it was filed under when it was written down. */
  caseId: z.string(),
  pest: z.enum(pestIds),
  severity: z.enum(severityIds),
  count: z.number().nullable(),
  removed: z.boolean(),
  /** Where they sat, and which life stages were seen; empty where nobody said. */
  spots: z.array(z.enum(spotIds)),
  stages: z.array(z.string()),
});

/** Where nothing was told of a look before it. */
export const nothingExpected = { pFind: null, pPassed: null, passes: null } as const;

/** A plant was inspected: with what, where, and what was found. */
export const look = factKind({
  kind: "look",
  table: "looks",
  command: recordLook,
  own: z.object({
    plantId: z.string(),
    walkId: z.string().nullable(),
    tool: z.enum(toolIds),
    spots: z.array(z.enum(spotIds)),
    /** False when one side of the plant stayed unseen. */
    turned: z.boolean(),
    naming: naming.nullable(),
    newLeaves: z.number().nullable(),
    /** How likely it was, as told before it, that such a look finds something; null where nothing current was told. */
    pFind: chance.nullable().default(null),
    /** How much of that was due to pests that pass from plant to plant, with so much more or less passing than we suppose. */
    pPassed: chance.nullable().default(null),
    passes: z.number().positive().max(1000).nullable().default(null),
    note: z.string(),
    finds: z.array(find),
  }),
  columns: {
    plantId: "uuid",
    walkId: "uuid",
    tool: "text",
    spots: "texts",
    turned: "boolean",
    naming: "json",
    newLeaves: "integer",
    pFind: "number",
    pPassed: "number",
    passes: "number",
    note: "text",
  },
  parts: {
    finds: {
      table: "finds",
      of: "lookId",
      columns: {
        caseId: "uuid",
        pest: "text",
        severity: "text",
        count: "integer",
        removed: "boolean",
        spots: "texts",
        stages: "texts",
      },
      order: ["pest"],
    },
  },
  shownOn: ["plant", "case"],
});
