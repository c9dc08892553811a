import "server-only";
import { notFound } from "next/navigation";
import { currentContext } from "@/app/_parts/context";
import { kept } from "@/app/_parts/kept";
import { momentNow } from "@/app/_parts/moments";
import { today } from "@/operations/context";
import { readPlant } from "@/operations/readPlant";

/** The plant a page is about, with the context; a page not found when there is none. */
export async function plantOf(params: Promise<{ id: string }>) {
  const { id } = await params;
  const context = await currentContext();
  const { view, asOf } = await kept(`${context.collection.id} plant ${id}`, () => readPlant(context, id));
  if (!view) notFound();
  return { context, view, asOf, today: today(context), now: momentNow(context) };
}
