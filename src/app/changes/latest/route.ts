import { contextIfAny } from "@/app/_parts/server/context";
import type { Told } from "@/offline/live";
import { may } from "@/core/access/roles";
import { readRevision } from "@/operations/record/queries/readRevision";

/** What was done with the collection last, for pages that no word comes through to. */
export async function GET(): Promise<Response> {
  const context = await contextIfAny();
  if (!context || !may(context.role, "see")) return new Response(null, { status: 403 });
  return Response.json({ mark: await readRevision(context) } satisfies Told, {
    headers: { "cache-control": "no-store" },
  });
}
