import "server-only";
import { revalidatePath } from "next/cache";
import { headers } from "next/headers";
import type { z } from "zod";
import type { CommandName } from "@/core/access/commandNames";
import { NotAllowed, type Context } from "@/operations/shared/context";
import { noteCommand } from "@/operations/access/people";
import type { Outcome, Problem } from "@/operations/shared/outcome";
import type { CommandResult } from "@/offline/commandResult";
import { problemInWords } from "@/wording/record/problems";
import { PAGE_HEADER } from "@/offline/live";
import { asked, askerNow, contextFor } from "./context";
import { withTimeout } from "./pageCache";

const TROUBLE = "It could not be saved. What you typed is still here; try again in a moment.";

/** Reads a form with its schema; what is wrong is in words, each at its field. */
export function readForm<S extends z.ZodType>(
  schema: S,
  input: unknown,
): { readonly ok: true; readonly data: z.output<S> } | Extract<CommandResult, { ok: false }> {
  const read = schema.safeParse(input);
  if (read.success) return { ok: true, data: read.data };
  return { ok: false, problems: read.error.issues.map(({ path, message }) => ({ path: path.join("."), message })) };
}

/** Nobody waits for ever: what was begun may still come to its end, and sending it again does it once. ms. */
const PATIENCE_MS = 20_000;

/** Does something and puts whatever is wrong into words; what nobody foresaw may be tried again. */
export async function attempt<T extends object>(
  work: () => Promise<Outcome<T>>,
  patienceMs = PATIENCE_MS,
): Promise<CommandResult> {
  try {
    const outcome = await withTimeout(patienceMs, work());
    if (!outcome.ok) {
      const done = outcome.problems.every(({ code }) => code === "already_voided");
      return { ok: false, ...(done && { done }), problems: outcome.problems.map(inWords) };
    }
    return { ok: true, value: { ...outcome.value } as Record<string, unknown> };
  } catch (error) {
    if (error instanceof NotAllowed) return { ok: false, problems: [inWords({ path: "", code: "not_allowed" })] };
    // The keeper needs to know that nothing was saved; whoever runs the server needs to know why.
    console.error(error);
    return { ok: false, retry: true, problems: [{ path: "", message: TROUBLE }] };
  }
}

/** Reads a form with its schema and carries the command out in the collection it was made for. Who did it is written down. */
export async function runCommand<S extends z.ZodType, T extends object>(
  collectionId: unknown,
  name: CommandName | ((input: z.output<S>) => CommandName),
  schema: S,
  operation: (context: Context, input: z.output<S>) => Promise<Outcome<T>>,
  input: unknown,
  patienceMs = PATIENCE_MS,
): Promise<CommandResult> {
  const read = readForm(schema, input);
  if (!read.ok) return read;
  const result = await attempt(async () => {
    const context = await contextOfCommand(collectionId);
    if (!context) return gone;
    const outcome = await operation(context, read.data);
    // What was sent before stands in the list already.
    if (outcome.ok && !outcome.again)
      await noteDone(context, typeof name === "string" ? name : name(read.data), outcome.value);
    return outcome;
  }, patienceMs);
  if (result.ok) revalidatePath("/", "layout");
  return result;
}

/** That it could not be written there undoes nothing. */
async function noteDone(context: Context, name: CommandName, value: object): Promise<void> {
  const { id, plantId, accountId } = value as Partial<Record<string, unknown>>;
  const about = [id, plantId, accountId].find((one) => typeof one === "string") as string | undefined;
  try {
    const from = (await headers()).get(PAGE_HEADER)?.slice(0, 40) ?? "";
    await noteCommand(context, await askerNow(), name, about ?? "", from);
  } catch (error) {
    console.error(error);
  }
}

/** The context of the collection a command names; null where it is no longer there. */
async function contextOfCommand(collectionId: unknown): Promise<Context | null> {
  const { device } = await asked();
  const context = typeof collectionId === "string" ? await contextFor({ collectionId, device }) : null;
  return context?.collection.id === collectionId ? context : null;
}

const gone = { ok: false, problems: [{ path: "", code: "unknown" }] } as const;

function inWords(problem: Problem): { path: string; message: string } {
  return { path: problem.path, message: problemInWords(problem) };
}
