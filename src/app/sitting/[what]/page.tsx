import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { currentContext, markNow } from "@/app/_parts/context";
import { Live } from "@/app/_parts/Live";
import { workIds } from "@/core/acts/workIds";
import { mixIds } from "@/core/knowledge/mixes/mixes";
import { readSitting } from "@/operations/sessions/queries/readSitting";
import { readTimers } from "@/operations/acts/queries/readTimers";
import { SittingScreen } from "./_parts/SittingScreen";
import { cachedView } from "@/app/_parts/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Treatment session" };

/** All that is due of one mix or one work, plant by plant. */
export default async function SittingPage({
  params,
  searchParams,
}: {
  params: Promise<{ what: string }>;
  searchParams: Promise<{ steps?: string }>;
}) {
  const { what: asked } = await params;
  const { steps } = await searchParams;
  const what = [...mixIds, ...workIds].find((id) => id === asked);
  if (!what) notFound();
  const context = await currentContext("see");
  const mark = await markNow(context);
  const only = steps?.split(",") ?? null;
  const view = await cachedView(context, `sitting ${what} ${steps}`, () => readSitting(context, what, only));
  const timers = await cachedView(context, "timers", () => readTimers(context));
  return (
    <>
      <Live mark={mark} />
      <AsOf />
      <SittingScreen view={view} measuring={context.collection} timers={timers} />
    </>
  );
}
