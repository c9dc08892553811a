import "server-only";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/context";
import { localTimeOf, today } from "@/operations/context";
import { readCase } from "@/operations/readCase";

/** The case a page is about, with the context; a page not found when there is none. */
export async function caseOf(params: Promise<{ id: string }>) {
  const { id } = await params;
  const context = await currentContext();
  const view = await readCase(context, id);
  if (!view) notFound();
  return { context, view, today: today(context), nowLocal: localTimeOf(context, context.now) };
}
