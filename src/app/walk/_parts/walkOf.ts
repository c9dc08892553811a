import "server-only";
import { notFound } from "next/navigation";
import { currentContext, markNow } from "@/app/_parts/context";
import { readWalk } from "@/operations/readWalk";

/** The walk a page is about, with the context; a page not found when there is none. */
export async function walkOf(params: Promise<{ id: string }>) {
  const context = await currentContext("see");
  const mark = await markNow(context);
  const view = await readWalk(context, (await params).id);
  if (!view) notFound();
  return { context, view, mark };
}
