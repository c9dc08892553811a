import { open } from "node:fs/promises";
import { stderr, stdin, stdout } from "node:process";
import type { Readable } from "node:stream";
import { assessFile } from "@/core/advice/clearance/assess";
import { carriesFile } from "@/core/advice/clearance/carriesFile";
import { planFile } from "@/core/advice/plans/planFile";
import { mergeExperiences, summedUp } from "@/core/advice/learning/experience";
import { readExperience, type ExperienceFile } from "@/core/record/format/experienceFile";
import { MOST_BYTES, readCarriageFile, readCaseFile, type FileProblem } from "@/core/record/format/read";

const USAGE = `usage: npm run --silent wary -- assess|plan|carries FILE   (FILE may be - for standard input)
       npm run --silent wary -- experience show FILE
       npm run --silent wary -- experience merge FILE FILE …`;

/** A command reads a text and gives what to print, or what is wrong with it. */
type Command = (text: string) => { answer: unknown } | { problems: readonly FileProblem[] };

const commands: Readonly<Record<string, Command>> = {
  assess(text) {
    const read = readCaseFile(text);
    const assessed = read.ok ? assessFile(read.file) : read;
    return assessed.ok ? { answer: assessed.assessment } : assessed;
  },
  plan(text) {
    const read = readCaseFile(text);
    return read.ok ? planFile(read.file) : read;
  },
  carries(text) {
    const read = readCarriageFile(text);
    return read.ok ? carriesFile(read.file) : read;
  },
};

/** Reads no more than a case file may hold: whatever feeds it more is cut off and refused. */
async function textFrom(name: string): Promise<string> {
  const source: Readable = name === "-" ? stdin : (await open(name)).createReadStream();
  const chunks: Buffer[] = [];
  let bytes = 0;
  for await (const chunk of source) {
    chunks.push(chunk as Buffer);
    bytes += (chunk as Buffer).length;
    if (bytes > MOST_BYTES) break;
  }
  return Buffer.concat(chunks).toString("utf8");
}

/** More problems than these are only counted. */
const MOST_TOLD = 100;
const LONGEST_PATH = 120;

/** One line a problem on standard error, whatever the file's own names hold. */
function refuse(problems: readonly FileProblem[]): number {
  for (const { path, message } of problems.slice(0, MOST_TOLD)) {
    const where = path.length > LONGEST_PATH ? `${path.slice(0, LONGEST_PATH)}…` : path || "file";
    stderr.write(`${`${where}: ${message}`.replaceAll(/[\p{Cc}\p{Cf}\u2028\u2029]+/gu, "\u00b7")}\n`);
  }
  const more = problems.length - MOST_TOLD;
  if (more > 0) stderr.write(`and ${more} more\n`);
  return 2;
}

/** Experiences of several files as one, or what one comes to. */
async function experience([what, ...names]: readonly string[]): Promise<number> {
  if (!(what === "show" && names.length === 1) && !(what === "merge" && names.length >= 1)) {
    console.error(USAGE);
    return 2;
  }
  const files: ExperienceFile[] = [];
  for (const name of names) {
    const text = await textFrom(name).catch((error: unknown) => error as Error);
    const read = text instanceof Error ? unreadable(text) : readExperience(text);
    if (!read.ok) return refuse(read.problems.map(({ path, message }) => ({ path: `${name}: ${path}`, message })));
    files.push(read.file);
  }
  const merged = mergeExperiences(files);
  stdout.write(`${JSON.stringify(what === "merge" ? merged : summedUp(merged), null, 1)}\n`);
  return 0;
}

const unreadable = ({ message }: Error) => ({
  ok: false as const,
  problems: [{ path: "", message: `cannot be read: ${message}` }],
});

async function main([name, file, ...rest]: readonly string[]): Promise<number> {
  if (name === "experience") return experience(file === undefined ? [] : [file, ...rest]);
  const command = Object.hasOwn(commands, name ?? "") ? commands[name!] : undefined;
  if (!command || file === undefined || rest.length > 0) {
    console.error(USAGE);
    return 2;
  }
  let text: string;
  try {
    text = await textFrom(file);
  } catch (error) {
    return refuse(unreadable(error as Error).problems);
  }
  const done = command(text);
  if ("problems" in done) return refuse(done.problems);
  stdout.write(`${JSON.stringify(done.answer, null, 1)}\n`);
  return 0;
}

// Whoever reads the answer may have seen enough.
stdout.on("error", (error: NodeJS.ErrnoException) => process.exit(error.code === "EPIPE" ? 0 : 1));
process.exitCode = await main(process.argv.slice(2));
if (process.exitCode !== 0) stdin.destroy();
