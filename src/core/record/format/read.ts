import type { z } from "zod";
import { pestOf, type Pest } from "../../knowledge/pests/pests";
import { spotsOf } from "../../knowledge/plants/growthForms";
import { carriageFile, caseFile, type CarriageFile, type CaseFile, type FileEvent } from "./schema";
import { dayZero, daysSince, MOST_DAYS } from "./times";

/** Something wrong with a file: where, and what. */
export interface FileProblem {
  /** As a program would write it, `events[3].found`; empty for the file as a whole. */
  readonly path: string;
  readonly message: string;
}

export type Reading = ReadingOf<CaseFile>;

/** Nobody writes more than this by hand or by program for one plant: 1 MiB. */
export const MOST_BYTES = 1_048_576;
/** The format itself is six deep. */
const MOST_DEEP = 16;

/** A file as it was read, with its defaults filled in, or every problem found, in the order of the file. */
export type ReadingOf<F> =
  { readonly ok: true; readonly file: F } | { readonly ok: false; readonly problems: readonly FileProblem[] };

/**
 * Reads a case file from text. A text that is too long or nested too deep is refused before it is parsed. Never throws for what
 * stands in the file.
 */
export function readCaseFile(text: string): Reading {
  return parsed(text, caseFile, contradictions);
}

/** As {@link readCaseFile}, for a carriage file. */
export function readCarriageFile(text: string): ReadingOf<CarriageFile> {
  return parsed(text, carriageFile, carriageContradictions);
}

/** As {@link readCaseFile}, for a case file that is there as plain data: what the application writes goes through it too. */
export function checkCaseFile(value: unknown): Reading {
  return checked(caseFile, value, contradictions);
}

/**
 * Reads a file of some shape from text, or tells every problem with it: first what its fields say, then what they say together. A text that
 * is too long or nested too deep is refused before it is parsed.
 */
export function parsed<F>(
  text: string,
  shape: z.ZodType<F>,
  contradictionsIn: (file: F) => Iterable<FileProblem>,
): ReadingOf<F> {
  if (text.length > MOST_BYTES) return refused(`a file holds at most ${MOST_BYTES} characters`);
  if (depthOf(text) > MOST_DEEP) return refused(`it is nested more than ${MOST_DEEP} deep`);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return refused(`not JSON: ${(error as Error).message}`);
  }
  return checked(shape, value, contradictionsIn);
}

function checked<F>(
  shape: z.ZodType<F>,
  value: unknown,
  contradictionsIn: (file: F) => Iterable<FileProblem>,
): ReadingOf<F> {
  const read = shape.safeParse(value, { error: plainMessage });
  if (!read.success)
    return { ok: false, problems: read.error.issues.flatMap((issue) => problemsOf(issue, issue.path)) };
  const problems = [...contradictionsIn(read.data)];
  return problems.length > 0 ? { ok: false, problems } : { ok: true, file: read.data };
}

/** The pest of a file, whole. */
export function pestOfFile({ pest }: Pick<CaseFile, "pest">): Pest {
  if (typeof pest === "string") return pestOf(pest);
  // Left-out fields are absent, not undefined, in the core's own table.
  return { ...pest, stages: pest.stages.map((stage) => JSON.parse(JSON.stringify(stage)) as Pest["stages"][number]) };
}

function refused(message: string): { readonly ok: false; readonly problems: readonly FileProblem[] } {
  return { ok: false, problems: [{ path: "", message }] };
}

/** How deep brackets are nested in a JSON text; what stands in strings does not count. */
function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  let inString = false;
  for (let i = 0; i < text.length; i++) {
    const c = text[i];
    if (inString) {
      if (c === "\\") i++;
      else if (c === '"') inString = false;
    } else if (c === '"') inString = true;
    else if (c === "{" || c === "[") deepest = Math.max(deepest, ++depth);
    else if (c === "}" || c === "]") depth--;
  }
  return deepest;
}

type Issue = z.core.$ZodIssue;

/** One line for an issue; for a union, the lines of the member that comes nearest. */
function problemsOf(issue: Issue, path: readonly PropertyKey[]): FileProblem[] {
  if (issue.code === "invalid_union" && issue.errors.length > 0) {
    const nearest = issue.errors.reduce((best, errors) => (depth(errors) > depth(best) ? errors : best));
    return nearest.flatMap((inner) => problemsOf(inner, [...path, ...inner.path]));
  }
  if (issue.code === "unrecognized_keys") {
    return issue.keys.map((key) => ({ path: pathOf([...path, key]), message: "is not a field of the format" }));
  }
  return [{ path: pathOf(path), message: issue.message }];
}

/** A member whose problems lie deeper was matched further, and one with fewer problems comes nearer. */
const depth = (errors: readonly Issue[]) =>
  Math.max(...errors.map((e) => e.path.length + (e.code === "unrecognized_keys" ? 1 : 0))) - errors.length / 1000;

function pathOf(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) =>
      typeof key === "number" ? `${text}[${key}]` : text === "" ? short(String(key)) : `${text}.${short(String(key))}`,
    "",
  );
}

/** A key may be of any length and hold anything. */
const short = (key: string) => (key.length > 40 ? `${key.slice(0, 40)}…` : key);

/** Plain words of this reader's own: the application's sentences are for forms. */
function plainMessage(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case "invalid_type":
      return issue.input === undefined
        ? "is missing"
        : `must be ${issue.expected === "int" ? "whole" : issue.expected}`;
    case "too_small":
      return issue.origin === "array"
        ? `needs at least ${issue.minimum}`
        : `must be ${issue.inclusive ? "at least" : "more than"} ${issue.minimum}`;
    case "too_big":
      return issue.origin === "array" ? `holds at most ${issue.maximum}` : `must be at most ${issue.maximum}`;
    case "invalid_value":
      return `must be ${issue.values.length === 1 ? "" : "one of "}${issue.values.map(String).join(", ")}`;
    case "invalid_format":
      return "must be a day (2026-03-01) or a moment (2026-03-01T18:00:00Z)";
    default:
      return undefined;
  }
}

/** What each field alone cannot tell: names that must exist, times that must follow, things that exclude each other. */
function* contradictions(file: CaseFile): Generator<FileProblem> {
  const pest = pestOfFile(file);
  yield* subjectProblems(file, pest);
  if (file.reachPrior && Math.abs(file.reachPrior.reduce((sum, weight) => sum + weight, 0) - 1) > 1e-6)
    yield { path: "reachPrior", message: "must sum to 1" };
  const zero = dayZero(file);
  for (const [i, event] of file.events.entries()) {
    const path = `events[${i}]`;
    const at = daysSince(zero, event.at);
    if (at < 0) yield { path: `${path}.at`, message: "lies before the day of the first event" };
    if (at > MOST_DAYS) yield { path: `${path}.at`, message: `lies more than ${MOST_DAYS} days after the first event` };
    yield* eventProblems(file, pest, event, path);
  }
  const asOf = daysSince(zero, file.asOf);
  if (asOf > MOST_DAYS) yield { path: "asOf", message: `lies more than ${MOST_DAYS} days after the first event` };
  const found = file.events.some((e) => e.type === "inspection" && e.found > 0 && daysSince(zero, e.at) <= asOf);
  if (!found) yield { path: "events", message: "no inspection has found anything up to asOf: there is no case" };
}

function* carriageContradictions(file: CarriageFile): Generator<FileProblem> {
  const pest = pestOfFile(file);
  yield* subjectProblems(file, pest);
  if (!pest.stages.some((stage) => stage.mobile)) {
    yield { path: "pest.stages", message: "needs a stage that moves: nothing else can come to a plant" };
  }
  const zero = file.from.slice(0, 10);
  const between = function* (path: string, at: string): Generator<FileProblem> {
    if (daysSince(file.from, at) < 0) yield { path, message: "lies before from" };
    if (daysSince(zero, at) > MOST_DAYS) yield { path, message: `lies more than ${MOST_DAYS} days after from` };
  };
  for (const [i, { from, until }] of file.founders.entries()) {
    yield* between(`founders[${i}].from`, from);
    if (daysSince(from, until) < 0) yield { path: `founders[${i}].until`, message: "lies before from" };
  }
  for (const [i, event] of file.events.entries()) {
    yield* between(`events[${i}].at`, event.at);
    yield* eventProblems(file, pest, event, `events[${i}]`);
  }
  yield* between("asOf", file.asOf);
  const { look } = file;
  if (look && "with" in look) yield* spotProblems(file, look.spots, "look.spots");
  if (look && "see" in look) yield* namesNoStage(pest, "look.see", look.see);
}

/** A pest and a plant that do not fit. */
function* subjectProblems(file: Pick<CaseFile, "pest" | "plant">, pest: Pest): Generator<FileProblem> {
  if (typeof file.pest === "string") return;
  yield* pestProblems(pest);
  if ("growthForm" in file.plant)
    yield { path: "plant.growthForm", message: `where ${pest.id} hides is not known: give shelteredShare` };
}

function namesNoStage(pest: Pest, path: string, record: Readonly<Record<string, unknown>> | undefined): FileProblem[] {
  return Object.keys(record ?? {})
    .filter((id) => !pest.stages.some((stage) => stage.id === id))
    .map((id) => ({ path: `${path}.${short(id)}`, message: `is not a stage of ${pest.id}` }));
}

function* pestProblems(pest: Pest): Generator<FileProblem> {
  if (pest.upperC <= pest.lowerC) yield { path: "pest.upperC", message: "must be more than lowerC" };
  const ids = pest.stages.map((stage) => stage.id);
  for (const [i, id] of ids.entries()) {
    if (ids.indexOf(id) < i) yield { path: `pest.stages[${i}].id`, message: `names ${id} twice` };
  }
  if (!pest.stages.some((stage) => (stage.femaleEggs ?? 0) > 0)) {
    yield { path: "pest.stages", message: "needs a stage that lays (femaleEggs)" };
  }
}

function* eventProblems(
  file: Pick<CaseFile, "plant">,
  pest: Pest,
  event: FileEvent | CarriageFile["events"][number],
  path: string,
): Generator<FileProblem> {
  const stages = pest.stages.map((stage) => stage.id);
  const named = (field: string, record: Readonly<Record<string, unknown>> | undefined) =>
    namesNoStage(pest, `${path}.${field}`, record);
  switch (event.type) {
    case "inspection":
      if ((event.look === undefined) === (event.see === undefined)) {
        yield { path, message: "needs either look or see" };
      }
      yield* named("see", event.see);
      if ("stages" in event && event.stages) {
        yield* stageProblems(event.stages, stages, pest, `${path}.stages`);
        if (event.found === 0)
          yield { path: `${path}.stages`, message: "nothing was found, so that no stage can be told" };
      }
      if (event.look) yield* spotProblems(file, event.look.spots, `${path}.look.spots`);
      return;
    case "treatment": {
      const byName = event.remedy !== undefined && event.technique !== undefined;
      const byNumbers = event.kill !== undefined && (event.reach === undefined) !== (event.touch === undefined);
      const mixed =
        (event.remedy ?? event.technique ?? event.spots ?? event.with ?? event.potency) !== undefined &&
        (event.kill ?? event.reach ?? event.touch ?? event.cover);
      if (byName === byNumbers || mixed) {
        yield { path, message: "needs either remedy and technique, or kill and either reach or touch" };
      }
      if (event.with && event.technique !== "dab")
        yield { path: `${path}.with`, message: "only a dab is guided by what searches for the animals" };
      if (event.with && !("growthForm" in file.plant))
        yield { path: `${path}.with`, message: "counts only where plant.growthForm is given: give kill and touch" };
      yield* named("kill", event.kill);
      yield* named("touch", event.touch);
      for (const [id, chance] of Object.entries(event.kill ?? {})) {
        if (typeof chance === "object" && !(chance.low <= chance.likely && chance.likely <= chance.high)) {
          yield { path: `${path}.kill.${id}`, message: "must go up from low to likely to high" };
        }
      }
      if (event.spots) yield* spotProblems(file, event.spots, `${path}.spots`);
      return;
    }
    case "lasting":
      if (daysSince(event.at, event.until) <= 0) yield { path: `${path}.until`, message: "must lie after at" };
      yield* named("dailyHazard", event.dailyHazard);
  }
}

function* stageProblems(
  named: readonly string[],
  stages: readonly string[],
  pest: Pest,
  path: string,
): Generator<FileProblem> {
  for (const [i, id] of named.entries()) {
    if (!stages.includes(id)) yield { path: `${path}[${i}]`, message: `is not a stage of ${pest.id}` };
    else if (named.indexOf(id) < i) yield { path: `${path}[${i}]`, message: `names ${id} twice` };
  }
}

function* spotProblems(file: Pick<CaseFile, "plant">, spots: readonly string[], path: string): Generator<FileProblem> {
  if (!("growthForm" in file.plant)) {
    yield { path, message: "spots can be weighed only where plant.growthForm is given" };
    return;
  }
  const there: readonly string[] = spotsOf(file.plant.growthForm);
  for (const [i, spot] of spots.entries()) {
    if (!there.includes(spot)) yield { path: `${path}[${i}]`, message: `${file.plant.growthForm} has no ${spot}` };
  }
}
