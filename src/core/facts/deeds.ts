import { z } from "zod";
import { signIds } from "../diagnosis/signs";
import { severityIds } from "../inspection/severity";
import { toolIds } from "../inspection/tools";
import { mixIds } from "../mixing/mixes";
import { pestIds } from "../pests/pests";
import { growthFormIds } from "../plants/growthForms";
import { spotIds } from "../plants/spots";
import { techniqueIds } from "../remedies/remedies";
import { schools, type SchoolId } from "../remedies/schools";
import { spoonSets } from "../units/spoons";
import { rounds } from "../walk/places";
import { dayField, decimal, id, localTime, orNothing, requiredText, text, whole } from "../fields";

/**
 * The shape of every deed: what a form sends, an operation takes and an import reads. Ids are made by whoever records
 * the deed, so that sending it twice records it once. Times are wall time in the collection's zone.
 */

export const placeKinds = ["room", "shelf", "isolation", "bag"] as const;
export type PlaceKind = (typeof placeKinds)[number];

/** Mean temperatures a plant survives, °C. */
const meanC = decimal(-10, 45);

export const addPlace = z.object({
  id,
  name: requiredText(60),
  kind: z.enum(["room", "shelf", "isolation"]),
  parentId: orNothing(id),
  meanC,
});
export type AddPlace = z.output<typeof addPlace>;

export const editPlace = z.object({ placeId: id, name: requiredText(60), meanC });
export type EditPlace = z.output<typeof editPlace>;

const plantDescription = {
  code: requiredText(24),
  name: requiredText(80),
  genus: text(60),
  growthForm: z.enum(growthFormIds),
  potCm: decimal(1, 200),
  acquiredOn: orNothing(dayField),
  seller: text(80),
  inFlower: z.boolean(),
};

export const addPlant = z.object({ id, placementId: id, placeId: id, ...plantDescription });
export type AddPlant = z.output<typeof addPlant>;

export const editPlant = z.object({ plantId: id, ...plantDescription });
export type EditPlant = z.output<typeof editPlant>;

export const archivePlant = z.object({ plantId: id, archived: z.boolean() });
export type ArchivePlant = z.output<typeof archivePlant>;

export const movePlant = z.object({ id, plantId: id, placeId: id, at: localTime });
export type MovePlant = z.output<typeof movePlant>;

/** `placeId` is an isolation place, or null for a bag tied over the pot where it stands. */
export const setApart = z.object({ id, plantId: id, placeId: orNothing(id), bagId: id, at: localTime });
export type SetApart = z.output<typeof setApart>;

const find = z.object({
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
});

const someSigns = z.array(z.enum(signIds)).max(signIds.length);

/** How the pest was named: the signs looked for, what they spoke for, and whether they or the keeper had the last word. */
const naming = z.object({
  present: someSigns,
  absent: someSigns,
  by: z.enum(["signs", "keeper"]),
  likeliest: z.enum(pestIds).nullable(),
});
export type Naming = z.output<typeof naming>;

export const recordLook = z.object({
  id,
  plantId: id,
  at: localTime,
  tool: z.enum(toolIds),
  spots: z.array(z.enum(spotIds)).min(1).max(spotIds.length),
  note: text(2000),
  finds: z.array(find).max(pestIds.length),
  /** The walk it was made on. */
  walkId: id.nullish(),
  /** False when one side of the plant stayed unseen. */
  turned: z.boolean().optional(),
  naming: naming.nullish(),
});
export type RecordLook = z.output<typeof recordLook>;

const schoolIds = schools.map((school) => school.id) as [SchoolId, ...SchoolId[]];

export const adoptPlan = z.object({
  id,
  caseId: id,
  mix: z.enum(mixIds),
  technique: z.enum(techniqueIds),
  /** Where the dates come from: reckoned by the application, a school's schedule, or the keeper's own. */
  basis: z.enum(["reckoned", "own", ...schoolIds]),
  dates: z
    .array(dayField)
    .min(1)
    .max(24)
    .refine((dates) => dates.every((d, i) => i === 0 || dates[i - 1]! < d), { params: { code: "not_ascending" } }),
  /** What the first date is done with, where that is another thing than the rest; null where it is not. */
  knockDown: z.object({ mix: z.enum(mixIds), technique: z.enum(techniqueIds) }).nullish(),
  /** What was promised of it when it was adopted: the reckoned probability that it ends the case. */
  pOver: z.number().min(0).max(1).nullish(),
});
export type AdoptPlan = z.output<typeof adoptPlan>;

export const recordTreatment = z.object({
  id,
  caseId: id,
  /** The planned step this treatment carries out, if any. */
  stepId: orNothing(id),
  mix: z.enum(mixIds),
  technique: z.enum(techniqueIds),
  volumeMl: decimal(0.1, 20_000),
  spots: z.array(z.enum(spotIds)).min(1).max(spotIds.length),
  at: localTime,
  note: text(2000),
  /** It happened although the application advises against it. */
  alreadyDone: z.boolean(),
});
export type RecordTreatment = z.output<typeof recordTreatment>;

export const outcomes = ["clear", "givenUp", "lost"] as const;
export type OutcomeId = (typeof outcomes)[number];

export const closeCase = z.object({ id, caseId: id, outcome: z.enum(outcomes), at: localTime, note: text(2000) });
export type CloseCase = z.output<typeof closeCase>;

/** A photo larger than this is refused, before it is sent and after. */
export const PHOTO_LIMIT_MB = 10;

export const walkScopes = ["place", "due", "everything", "arrivals"] as const;
export type WalkScope = (typeof walkScopes)[number];

export const startWalk = z.object({
  id,
  scope: z.enum(walkScopes),
  /** The room or shelf, for a walk of one place. */
  placeId: orNothing(id),
  tool: z.enum(toolIds),
  round: z.enum(rounds),
});
export type StartWalk = z.output<typeof startWalk>;

export const endWalk = z.object({ walkId: id });
export type EndWalk = z.output<typeof endWalk>;

export const skipReasons = ["notThere", "outOfReach", "underTreatment", "lookedJustNow", "noTime"] as const;
export type SkipReason = (typeof skipReasons)[number];

export const skipPlant = z.object({ id, walkId: id, plantId: id, reason: z.enum(skipReasons), at: localTime });
export type SkipPlant = z.output<typeof skipPlant>;

export const voidableFacts = ["look", "treatment", "placement", "plan", "closing", "skip", "photo"] as const;
export type VoidableFact = (typeof voidableFacts)[number];

export const voidFact = z.object({ kind: z.enum(voidableFacts), factId: id, reason: requiredText(200) });
export type VoidFact = z.output<typeof voidFact>;

const zoneExists = (zone: string) => {
  try {
    return new Intl.DateTimeFormat("en", { timeZone: zone }).format().length > 0;
  } catch {
    return false;
  }
};

export const changeSettings = z.object({
  name: requiredText(60),
  timeZone: requiredText(60).refine(zoneExists, { params: { code: "no_such_zone" } }),
  lookEveryDays: whole(1, 60),
  units: z.enum(["metric", "us"]),
  spoons: z.enum(spoonSets),
  alcoholPercent: decimal(1, 100),
  /** From which probability on "clear" is proposed. */
  clearPercent: whole(90, 99),
  /** The probability a plan is to reach. */
  planPercent: whole(50, 99),
  /** Which half of the earth it stands on, for the seasons. */
  hemisphere: z.enum(["north", "south"]),
  /** ISO weekdays (1 is Monday) on which treatments are possible. */
  workDays: z
    .array(whole(1, 7))
    .min(1)
    .max(7)
    .transform((days) => [...new Set(days)].toSorted((a, b) => a - b)),
});
export type ChangeSettings = z.output<typeof changeSettings>;
export type Settings = ChangeSettings;

/** What a collection begins with until its keeper says otherwise; name and time zone are the keeper's alone. */
export const usualSettings = {
  lookEveryDays: 7,
  units: "metric",
  spoons: "metric",
  alcoholPercent: 70,
  clearPercent: 95,
  planPercent: 90,
  hemisphere: "north",
  workDays: [1, 2, 3, 4, 5, 6, 7],
} satisfies Omit<Settings, "name" | "timeZone">;
