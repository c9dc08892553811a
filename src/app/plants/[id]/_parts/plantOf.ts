import "server-only";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/context";
import { localTimeOf, today } from "@/operations/context";
import { readPlant } from "@/operations/readPlant";

/** The plant a page is about, with the context; a page not found when there is none. */
export async function plantOf(params: Promise<{ id: string }>) {
  const { id } = await params;
  const context = await currentContext();
  const view = await readPlant(context, id);
  if (!view) notFound();
  return { context, view, today: today(context), nowLocal: localTimeOf(context, context.now) };
}
