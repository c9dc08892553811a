import { createHash } from "node:crypto";
import { currentContext } from "@/app/_parts/context";
import { experienceOf } from "@/core/advice/learning/experience";
import { readTaught } from "@/operations/record/queries/readTaught";

/** What this record has taught, to be handed on: counts, and a number that tells one keeper from another and nothing else. */
export async function GET(): Promise<Response> {
  const context = await currentContext("own");
  const keeper = createHash("sha256").update(`experience ${context.collection.id}`).digest("hex").slice(0, 32);
  const file = experienceOf(keeper, await readTaught(context));
  return new Response(`${JSON.stringify(file, null, 1)}\n`, {
    headers: {
      "content-type": "application/json",
      "cache-control": "private, no-store",
      "content-disposition": 'attachment; filename="experience.json"',
    },
  });
}
