import "server-only";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { cachedView } from "@/app/_parts/server/cachedView";
import { momentNow } from "@/app/_parts/moments";
import { readPlace } from "@/operations/places/queries/readPlace";

/** The place a page is about, with the context; a page not found when there is none. */
export async function placeOf(params: Promise<{ id: string }>) {
  const { id } = await params;
  const context = await currentContext();
  const view = await cachedView(context, `place ${id}`, () => readPlace(context, id));
  if (!view) notFound();
  return { context, view, now: momentNow(context) };
}
