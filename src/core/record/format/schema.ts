import { z } from "zod";
import { toolIds } from "../../model/inspection/tools";
import { habitats, pestIds, phases, visibilities } from "../../knowledge/pests/pests";
import { growthFormIds } from "../../knowledge/plants/growthForms";
import { spotIds } from "../../knowledge/plants/spots";
import { techniqueIds, type RemedyId } from "../../knowledge/remedies/remedies";

/** What a case file calls each remedy; one that has no name here cannot be compiled. */
export const remedyNames = {
  alcohol: "alcohol70",
  soap: "soap",
  oil: "oil",
  neem: "neem",
  spinosad: "spinosad",
  pyrethrins: "pyrethrins",
  essentialOil: "essentialOil",
  permethrin: "permethrin",
  acetamiprid: "acetamiprid",
  abamectin: "abamectin",
  hexythiazox: "hexythiazox",
  bifenazate: "bifenazate",
  sulphur: "sulphur",
} as const satisfies Record<RemedyId, string>;
type RemedyName = (typeof remedyNames)[RemedyId];
export const fileRemedyIds = Object.values(remedyNames) as [RemedyName, ...RemedyName[]];

/** The remedy that a case file calls so. @example remedyNamed("alcohol70") // "alcohol" */
export function remedyNamed(name: RemedyName): RemedyId {
  return (Object.keys(remedyNames) as RemedyId[]).find((id) => remedyNames[id] === name)!;
}

const chance = z.number().min(0).max(1);
const perSite = z
  .union([z.tuple([chance, chance]), z.tuple([chance, chance, chance])])
  .describe("open spots, sheltered spots, deep places; a third left out counts 0");
const byPlace = z.partialRecord(z.enum(habitats), perSite);
/** A name of the writer's own; one that objects of the language keep for themselves would be lost on the way. */
const name = z
  .string()
  .min(1)
  .max(40)
  .regex(/^(?!__proto__$)/);
/** A day (its beginning, UTC) or a moment. */
const moment = z.union([z.iso.date(), z.iso.datetime({ offset: true })]).describe("a day, 00:00 UTC, or a moment");

const stage = z.strictObject({
  id: name,
  degreeDays: z.number().min(1).max(100_000),
  substages: z.number().int().min(1).max(60),
  dailyDeath: z.number().min(0).max(50).describe("rate per day"),
  where: z.enum(habitats),
  mobile: z.boolean().optional(),
  femaleEggs: z
    .union([z.literal(0), z.number().min(0.001).max(10_000)])
    .optional()
    .describe("daughters laid over the whole stage"),
  phase: z.enum(phases).optional().describe("whose kill numbers hold, where its name does not tell"),
  size: z.enum(visibilities).optional().describe("how well it shows, where its name does not tell"),
});

const pest = z.strictObject({
  id: name,
  lowerC: z.number().min(-50).max(60),
  upperC: z.number().min(-50).max(60),
  stages: z.array(stage).min(1).max(12),
});

const kill = z
  .union([chance, z.strictObject({ low: chance, likely: chance, high: chance })])
  .describe("chance that one that is hit dies");

const howLooked = {
  look: z.strictObject({ with: z.enum(toolIds), spots: z.array(z.enum(spotIds)).min(1) }).optional(),
  see: z.record(name, perSite).optional().describe("for each stage the chance that one animal is seen"),
};

const inspection = z.strictObject({
  type: z.literal("inspection"),
  at: moment,
  ...howLooked,
  found: z.number().min(0).max(1_000_000).describe("live animals seen"),
  removed: z.boolean().default(false).describe("whether those seen were killed on the spot"),
  stages: z.array(name).min(1).max(12).optional().describe("the stages that those seen were in; any where left out"),
});

const treatment = z.strictObject({
  type: z.literal("treatment"),
  at: moment,
  remedy: z.enum(fileRemedyIds).optional(),
  technique: z.enum(techniqueIds).optional(),
  spots: z.array(z.enum(spotIds)).min(1).optional(),
  with: z.enum(toolIds).optional().describe("what the other hand searched with, for a dab"),
  potency: z
    .number()
    .min(0)
    .max(3)
    .optional()
    .describe("power of 1 − kill, for a weaker or stronger mix; 1 where left out"),
  kill: z.record(name, kill).optional(),
  reach: byPlace.optional(),
  touch: z.record(name, perSite).optional().describe("for each stage the chance that one is seen and hit"),
  cover: byPlace.optional().describe("the share of the animals that sits where the hand went; 1 where left out"),
});

const lasting = z.strictObject({
  type: z.literal("lasting"),
  at: moment,
  until: moment,
  dailyHazard: z.record(name, z.number().min(0).max(50)).default({}).describe("extra death rate per day, by stage"),
  layFactor: z.number().min(0).max(10).default(1),
  cover: perSite.optional().describe("the share of each site's animals that it meets; all of them where left out"),
});

const about = {
  pest: z.union([z.enum(pestIds), pest]),
  plant: z.union([
    z.strictObject({ growthForm: z.enum(growthFormIds), mixPerDay: z.number().min(0).max(100).optional() }),
    z.strictObject({
      shelteredShare: chance,
      mixPerDay: z.number().min(0).max(100).optional(),
      deepShare: chance.default(0).describe("of the sheltered ones"),
    }),
  ]),
  temperature: z.union([
    z.number().min(-40).max(60),
    z.strictObject({ from: z.iso.date(), dailyMeanC: z.array(z.number().min(-40).max(60)).min(1).max(4000) }),
  ]),
  timeStepDays: z.number().min(0.005).max(1).default(0.25),
};

/** The open case format, version 1: one pest on one plant with everything done and seen. */
export const caseFile = z.strictObject({
  format: z.literal("wary-petal.case"),
  version: z.literal(1),
  ...about,
  scenarios: z.enum(["all", "likely"]).default("all"),
  reachPrior: z
    .tuple([chance, chance, chance])
    .optional()
    .describe("weights of reach ×2.5, ×1, ×⅓ before anything was seen; ¼, ½, ¼ where left out"),
  events: z
    .array(z.discriminatedUnion("type", [inspection, treatment, lasting]))
    .min(1)
    .max(2000),
  asOf: moment,
});

/** The open carriage format, version 1: one pest that has not been found on one plant, and how it may have come there. */
export const carriageFile = z.strictObject({
  format: z.literal("wary-petal.carriage"),
  version: z.literal(1),
  ...about,
  from: moment.describe("when the plant came, or the time asked about begins"),
  arrival: z
    .strictObject({ share: chance, mean: z.number().min(0).max(100_000).default(5) })
    .default({ share: 0, mean: 5 })
    .describe("the chance that it came with a colony, and how many animals that has in the mean"),
  founders: z
    .array(z.strictObject({ route: name, from: moment, until: moment, perDay: z.number().min(0).max(1000) }))
    .max(500)
    .default([]),
  events: z
    .array(
      z.discriminatedUnion("type", [
        z.strictObject({ type: z.literal("inspection"), at: moment, ...howLooked }),
        treatment,
        lasting,
      ]),
    )
    .max(2000)
    .default([])
    .describe("inspections here found nothing"),
  look: z
    .union([
      z.strictObject({ with: z.enum(toolIds), spots: z.array(z.enum(spotIds)).min(1) }),
      z.strictObject({ see: z.record(name, perSite) }),
    ])
    .optional()
    .describe("a look at asOf to be told the worth of"),
  asOf: moment,
});

export type CarriageFile = z.output<typeof carriageFile>;
export type CarriageFileInput = z.input<typeof carriageFile>;

export type CaseFile = z.output<typeof caseFile>;
export type CaseFileInput = z.input<typeof caseFile>;
export type FileEvent = CaseFile["events"][number];

/** The JSON Schema of the format, for those who write such files with other programs. */
export function caseFileSchema(): object {
  return {
    ...z.toJSONSchema(caseFile, { io: "input" }),
    title: "Wary Petal case",
    description:
      "One pest on one plant: everything done and seen, and the moment asked about. Events stand in the order recorded; the first one's date is day 0, and none lies before it.",
  };
}

/** The JSON Schema of the carriage format. */
export function carriageFileSchema(): object {
  return {
    ...z.toJSONSchema(carriageFile, { io: "input" }),
    title: "Wary Petal carriage",
    description:
      "One pest that has not been found on one plant: how it may have come there, and the moment asked about.",
  };
}
