import "server-only";
import { notFound } from "next/navigation";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { readWalk } from "@/operations/walks/queries/readWalk";
import { cachedView } from "@/app/_parts/server/cachedView";

/** The walk a page is about, with the context; a page not found when there is none. */
export async function walkOf(params: Promise<{ id: string }>) {
  const context = await currentContext("see");
  const mark = await markNow(context);
  const { id } = await params;
  const view = await cachedView(context, `walk ${id}`, () => readWalk(context, id));
  if (!view) notFound();
  return { context, view, mark };
}
