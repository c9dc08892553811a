import "server-only";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/server/context";
import { cachedView } from "@/app/_parts/server/cachedView";
import { momentNow } from "@/app/_parts/moments";
import { today } from "@/operations/shared/context";
import { readCase } from "@/operations/cases/queries/readCase";

/** The case a page is about, with the context; a page not found when there is none. */
export async function caseOf(params: Promise<{ id: string }>) {
  const { id } = await params;
  const context = await currentContext();
  const view = await cachedView(context, `case ${id}`, () => readCase(context, id));
  if (!view) notFound();
  return { context, view, today: today(context), now: momentNow(context) };
}
