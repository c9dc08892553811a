import "server-only";
import { revalidatePath } from "next/cache";
import type { z } from "zod";
import type { Context } from "@/operations/context";
import type { Outcome, Problem } from "@/operations/outcome";
import type { DeedResult } from "@/ui/fields/deedResult";
import { objectionSentences } from "@/wording/cautions";
import { problemSentences } from "@/wording/problems";
import { currentContext } from "./context";

const TROUBLE = "It could not be saved just now. What you typed is still here; press again in a moment.";

/** Reads a form with its schema, does the deed, and puts whatever is wrong into words. */
export async function deed<S extends z.ZodType, T extends object>(
  schema: S,
  operation: (context: Context, input: z.output<S>) => Promise<Outcome<T>>,
  input: unknown,
): Promise<DeedResult> {
  const read = schema.safeParse(input);
  if (!read.success) {
    return { ok: false, problems: read.error.issues.map(({ path, message }) => ({ path: path.join("."), message })) };
  }
  try {
    const outcome = await operation(await currentContext(), read.data);
    if (!outcome.ok) return { ok: false, problems: outcome.problems.map(inWords) };
    revalidatePath("/", "layout");
    return { ok: true, value: { ...outcome.value } as Record<string, unknown> };
  } catch (error) {
    // The keeper needs to know that nothing was saved; whoever runs the server needs to know why.
    console.error(error);
    return { ok: false, retry: true, problems: [{ path: "", message: TROUBLE }] };
  }
}

function inWords({ path, code, objections }: Problem): { path: string; message: string } {
  const reasons = (objections ?? []).filter((o) => o.level === "refuse").map((o) => objectionSentences[o.code]);
  return { path, message: [problemSentences[code], ...reasons].join(" ") };
}
