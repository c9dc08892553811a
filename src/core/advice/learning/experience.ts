import { z } from "zod";
import { workIds } from "../../acts/workIds";
import { groupBy } from "../../shared/groupBy";
import { toolIds, type ToolId } from "../../model/inspection/tools";
import type { CourseTaught } from "./courses";
import type { ToldBetween } from "./reliability";
import type { Sight } from "./sight";
import { countedOf, type Counted } from "./span";
import { pestIds, type PestId } from "../../knowledge/pests/pests";
import { eachOf, isWork, type Dose } from "../planning/doses";
import { techniqueIds } from "../../knowledge/remedies/remedies";
import { parsed, type FileProblem, type ReadingOf } from "../../record/format/read";
import { fileRemedyIds, remedyNamed, remedyNames } from "../../record/format/schema";

const count = z.number().int().min(0).max(1_000_000);
const chance = z.number().min(0).max(1);
const way = z.union([
  z.strictObject({ remedy: z.enum(fileRemedyIds), technique: z.enum(techniqueIds) }),
  z.strictObject({ work: z.enum(workIds) }),
]);

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
});

/** Experience that may be handed on: no names, places, days, sellers or plants. */
export const experienceFile = z.strictObject({
  format: z.literal("wary-petal.experience"),
  version: z.literal(1),
  from: z.array(keeperPart).min(1).max(1000),
});
export type ExperienceFile = z.output<typeof experienceFile>;
type KeeperPart = ExperienceFile["from"][number];

/** The JSON Schema of the experience format. */
export function experienceFileSchema(): object {
  return {
    ...z.toJSONSchema(experienceFile, { io: "input" }),
    title: "Wary Petal experience",
    description:
      "What keepers' own records have taught, as counts: what ended what, what each look saw, what came of chances that were told. Nothing else of anybody.",
  };
}

/** One keeper's experience, ready to be handed on. `keeper` is 32 hex digits that say nothing but who is who. */
export function experienceOf(
  keeper: string,
  taught: {
    readonly courses: readonly CourseTaught[];
    readonly sights: readonly Sight[];
    readonly closings: readonly ToldBetween[];
    readonly cases: number;
  },
): ExperienceFile {
  return experienceFile.parse({
    format: "wary-petal.experience",
    version: 1,
    from: [
      {
        keeper,
        cases: taught.cases,
        // A way is of one remedy there: what a can of several has ended says nothing of any of them.
        courses: taught.courses
          .filter(({ dose }) => eachOf(dose).length === 1)
          .map(({ pest, dose, ended, returned }) => ({
            ...{ pest, way: wayOf(dose), ended: ended.hits, closed: ended.of, returned },
          })),
        sights: taught.sights.map(({ tool, saw }) => ({ tool, saw: saw.hits, of: saw.of })),
        closings: taught.closings.map(({ from, until, told, came }) => ({
          from,
          until,
          told,
          came: came.hits,
          of: came.of,
        })),
      },
    ],
  });
}

const wayOf = (dose: Dose): KeeperPart["courses"][number]["way"] =>
  isWork(dose) ? { work: dose.work } : { remedy: remedyNames[dose.remedy], technique: dose.technique };

/** Reads an experience file from text, or says every problem with it. Never throws for what stands in it. */
export function readExperience(text: string): ReadingOf<ExperienceFile> {
  return parsed(text, experienceFile, cannotBe);
}

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
  }
}

/**
 * Several experiences as one: counts of different keepers add when they are read, and of one keeper the file with more cases counts, of
 * as many the one with more of them closed, so that the same file twice counts once, in whatever order. @example mergeExperiences([file, file]) // as file
 */
export function mergeExperiences(files: readonly ExperienceFile[]): ExperienceFile {
  const parts = new Map<string, KeeperPart>();
  for (const part of files.flatMap(({ from }) => from)) {
    const known = parts.get(part.keeper);
    if (!known || goesBefore(part, known)) parts.set(part.keeper, part);
  }
  const from = [...parts.values()].toSorted((a, b) => (a.keeper < b.keeper ? -1 : 1));
  return { format: "wary-petal.experience", version: 1, from };
}

/** Which of two parts of one keeper counts; of two that know as much any, but always the same one. */
function goesBefore(a: KeeperPart, b: KeeperPart): boolean {
  const closedIn = ({ courses }: KeeperPart) => courses.reduce((sum, { closed }) => sum + closed, 0);
  const more = a.cases - b.cases || closedIn(a) - closedIn(b);
  return more > 0 || (more === 0 && JSON.stringify(a) > JSON.stringify(b));
}

/** What an experience comes to, over all its keepers. */
export interface Experience {
  readonly keepers: number;
  readonly cases: number;
  readonly courses: readonly {
    readonly pest: PestId;
    readonly dose: Dose;
    readonly ended: Counted;
    readonly returned: number;
  }[];
  readonly sights: readonly { readonly tool: ToolId; readonly saw: Counted }[];
}

/** The counts of all keepers together, each with its span; what was used most first. */
export function summedUp({ from }: ExperienceFile): Experience {
  const sum = <T>(all: readonly T[], of: (one: T) => number) => all.reduce((total, one) => total + of(one), 0);
  const courses = groupBy(
    from.flatMap((part) => part.courses),
    (one) => JSON.stringify([one.pest, one.way]),
  );
  const sights = groupBy(
    from.flatMap((part) => part.sights),
    ({ tool }) => tool,
  );
  return {
    keepers: from.length,
    cases: sum(from, ({ cases }) => cases),
    courses: [...courses.values()]
      .map((some) => ({
        pest: some[0]!.pest,
        dose: doseOf(some[0]!.way),
        ended: countedOf(
          sum(some, ({ ended }) => ended),
          sum(some, ({ closed }) => closed),
        ),
        returned: sum(some, ({ returned }) => returned),
      }))
      .toSorted((a, b) => b.ended.of - a.ended.of),
    sights: [...sights].map(([tool, some]) => ({
      tool,
      saw: countedOf(
        sum(some, ({ saw }) => saw),
        sum(some, ({ of }) => of),
      ),
    })),
  };
}

const doseOf = (one: KeeperPart["courses"][number]["way"]): Dose =>
  "work" in one ? { work: one.work } : { remedy: remedyNamed(one.remedy), technique: one.technique };
