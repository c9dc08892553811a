import { z } from "zod";
import { answered, readUpTo, tooLarge } from "@/app/_parts/server/answer";
import { currentContext } from "@/app/_parts/server/context";
import { runCommand } from "@/app/_parts/server/runCommand";
import { experienceOf } from "@/core/advice/learning/experience";
import { MOST_BYTES, type FileProblem } from "@/core/record/format/read";
import { databaseUrl } from "@/env";
import { askFor } from "@/jobs/ask";
import { addExperience } from "@/operations/record/commands/addExperience";
import { keeperCode } from "@/operations/record/putExperience";
import { readTaught } from "@/operations/record/queries/readTaught";
import type { Context } from "@/operations/shared/context";
import type { Outcome } from "@/operations/shared/outcome";

/** So many of a file's problems are told at once. */
const TOLD = 20;

/** What this record has taught, to be handed on: counts and what they are worth, and a number that tells one keeper from another and nothing else. */
export async function GET(): Promise<Response> {
  const context = await currentContext("own");
  const file = experienceOf(keeperCode(context.collection.id), await readTaught(context));
  return new Response(`${JSON.stringify(file, null, 1)}\n`, {
    headers: {
      "content-type": "application/json",
      "cache-control": "private, no-store",
      "content-disposition": 'attachment; filename="experience.json"',
    },
  });
}

const asked = z.object({ text: z.string() });

/** Reads other keepers' experience in. */
export async function POST(request: Request): Promise<Response> {
  const body = await readUpTo(request.body, MOST_BYTES);
  if (!body) return tooLarge();
  let refused: readonly FileProblem[] = [];
  const bring = async (context: Context, input: z.output<typeof asked>): Promise<Outcome<object>> => {
    const came = await addExperience(context, input);
    if (!came.ok || !("refused" in came.value)) return came;
    refused = came.value.refused;
    return { ok: false, problems: [] };
  };
  const collectionId = request.headers.get("x-collection");
  const result = await runCommand(collectionId, "addExperience", asked, bring, { text: body.toString("utf8") });
  if (result.ok) await askFor(databaseUrl(), collectionId, "judge", "carry", "carryRest");
  return answered(refused.length > 0 ? { ok: false, problems: inWords(refused) } : result);
}

function inWords(refused: readonly FileProblem[]) {
  const first = refused.slice(0, TOLD).map(({ path, message }) => ({
    path,
    message: path === "" ? `The file: ${message}.` : `${path}: ${message}.`,
  }));
  const more = refused.length - first.length;
  return more > 0 ? [...first, { path: "", message: `And ${more} more.` }] : first;
}
