import { z } from "zod";
import { workIds } from "../../acts/workIds";
import { pestIds } from "../../knowledge/pests/pests";
import { techniqueIds } from "../../knowledge/remedies/remedies";
import { PASSING_FURTHEST, PASSING_TELLS_AT_MOST } from "../../model/learning/passing";
import { FURTHEST, LOOK_TELLS_AT_MOST } from "../../model/learning/sight";
import { toolIds } from "../../model/inspection/tools";
import { parsed, type FileProblem, type ReadingOf } from "./read";
import { fileRemedyIds } from "./schema";

const count = z.number().int().min(0).max(1_000_000);
/** So many cases, of each reach. */
const worth = z.number().min(0).max(1_000_000);
const chance = z.number().min(0).max(1);
const way = z.union([
  z.strictObject({ remedy: z.enum(fileRemedyIds), technique: z.enum(techniqueIds) }),
  z.strictObject({ work: z.enum(workIds) }),
]);

const precision = z.number().min(0).max(1e8);
const pull = z.number().min(-1e9).max(1e9).describe("the mean of that logarithm times its precision");

/** What one keeper's record has taught: counts alone. */
const keeperPart = z.strictObject({
  keeper: z
    .string()
    .regex(/^[0-9a-f]{32}$/)
    .describe("tells one keeper from another and nothing else, so that nobody counts twice"),
  cases: count,
  courses: z
    .array(z.strictObject({ pest: z.enum(pestIds), way, ended: count, closed: count, returned: count }))
    .max(2000),
  sights: z.array(z.strictObject({ tool: z.enum(toolIds), saw: count, of: count })).max(100),
  closings: z.array(z.strictObject({ from: chance, until: chance, told: chance, came: count, of: count })).max(100),
  // Files of the first version say nothing of these.
  hands: z
    .array(
      z.strictObject({
        technique: z.enum(techniqueIds),
        cases: count,
        worth: z.tuple([worth, worth, worth]).describe("cases of reach ×2.5, ×1, ×⅓ that these were worth"),
      }),
    )
    .max(100)
    .default([]),
  eyes: z
    .array(
      z.strictObject({
        tool: z.enum(toolIds),
        looks: count,
        precision: precision.describe("one over the variance of the logarithm of what it sees, of what is supposed"),
        pull,
      }),
    )
    .max(100)
    .default([]),
  arrivals: z
    .strictObject({ plants: count, showed: count })
    .default({ plants: 0, showed: 0 })
    .describe("plants that came, from whomever, and those of them that showed a pest soon after"),
  passing: z
    .strictObject({
      looks: count,
      precision: precision.describe(
        "one over the variance of the logarithm of how much passes from plant to plant, of what is supposed",
      ),
      pull,
    })
    .default({ looks: 0, precision: 0, pull: 0 })
    .describe("looks of which a chance to find something was told, and what they are worth"),
});

/**
 * What is written; earlier versions are read as well. The first tells nothing of hands, eyes and arrivals; in the second, which tells
 * nothing of passing, eyes were taken for better than they are, and are left out.
 */
export const EXPERIENCE_VERSION = 3;

/** So many keepers one file tells of at most. */
export const MOST_KEEPERS = 1000;

/** Experience that may be handed on: no names, places, days, sellers or plants. */
export const experienceFile = z.strictObject({
  format: z.literal("wary-petal.experience"),
  version: z.union([z.literal(1), z.literal(2), z.literal(EXPERIENCE_VERSION)]),
  from: z.array(keeperPart).min(1).max(MOST_KEEPERS),
});
export type ExperienceFile = z.output<typeof experienceFile>;
export type KeeperPart = ExperienceFile["from"][number];

/** The JSON Schema of the experience format. */
export function experienceFileSchema(): object {
  return {
    ...z.toJSONSchema(experienceFile, { io: "input" }),
    title: "Wary Petal experience",
    description:
      "What keepers' own records have taught, as counts and what they are worth: what ended what, how much was missed, what each look saw, what came with new plants, how much passed from plant to plant, what came of chances that were told. Nothing else of anybody.",
  };
}

/** Reads an experience file from text, or says every problem with it. Never throws for what stands in it. */
export function readExperience(text: string): ReadingOf<ExperienceFile> {
  return parsed(text, experienceFile, cannotBe);
}

/** An experience in a file of another format: what cannot be true is refused there as well. */
export const trueExperience = experienceFile.superRefine((file, context) => {
  for (const { path, message } of cannotBe(file)) context.addIssue({ code: "custom", message: `${path} ${message}` });
});

/** Numbers are written with their fractions. */
const ROUNDED = 1e-6;

/** What cannot be true: more of something than there was. */
function* cannotBe({ from }: ExperienceFile): Generator<FileProblem> {
  for (const [i, part] of from.entries()) {
    const at = `from[${i}]`;
    if (from.findIndex(({ keeper }) => keeper === part.keeper) < i)
      yield { path: `${at}.keeper`, message: "stands in it twice" };
    if (part.courses.reduce((sum, { closed }) => sum + closed, 0) > part.cases)
      yield { path: `${at}.courses`, message: "tells of more closed cases than there were" };
    for (const [k, { ended, closed, returned }] of part.courses.entries())
      if (ended + returned > closed)
        yield { path: `${at}.courses[${k}]`, message: "more ended and returned than were closed" };
    for (const [k, { saw, of }] of part.sights.entries())
      if (saw > of) yield { path: `${at}.sights[${k}]`, message: "saw more than there was" };
    for (const [k, { from: low, until, told, came, of }] of part.closings.entries()) {
      if (came > of) yield { path: `${at}.closings[${k}]`, message: "more came true than were told" };
      if (!(low <= told && told <= until))
        yield { path: `${at}.closings[${k}]`, message: "what was told lies outside its bounds" };
    }
    if (part.hands.reduce((sum, { cases }) => sum + cases, 0) > part.cases)
      yield { path: `${at}.hands`, message: "tells of more closed cases than there were" };
    for (const [k, { technique, cases, worth: counts }] of part.hands.entries()) {
      if (counts.reduce((sum, one) => sum + one, 0) > cases + ROUNDED)
        yield { path: `${at}.hands[${k}]`, message: "worth more cases than there were" };
      if (part.hands.findIndex((one) => one.technique === technique) < k)
        yield { path: `${at}.hands[${k}]`, message: "stands in it twice" };
    }
    for (const [k, { tool, looks, precision, pull }] of part.eyes.entries()) {
      if (precision > looks * LOOK_TELLS_AT_MOST)
        yield { path: `${at}.eyes[${k}]`, message: "worth more looks than there were" };
      if (Math.abs(pull) > precision * FURTHEST + ROUNDED)
        yield { path: `${at}.eyes[${k}]`, message: "an eye that sees so much more or less is none" };
      if (part.eyes.findIndex((one) => one.tool === tool) < k)
        yield { path: `${at}.eyes[${k}]`, message: "stands in it twice" };
    }
    if (part.arrivals.showed > part.arrivals.plants)
      yield { path: `${at}.arrivals`, message: "more showed a pest than came" };
    if (part.passing.precision > part.passing.looks * PASSING_TELLS_AT_MOST)
      yield { path: `${at}.passing`, message: "worth more looks than there were" };
    if (Math.abs(part.passing.pull) > part.passing.precision * PASSING_FURTHEST + ROUNDED)
      yield { path: `${at}.passing`, message: "so much more or less never passes" };
  }
}
