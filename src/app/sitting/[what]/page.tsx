import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { currentContext, markNow } from "@/app/_parts/context";
import { Live } from "@/app/_parts/Live";
import { workIds } from "@/core/acts/workIds";
import { mixIds } from "@/core/mixing/mixes";
import { readSitting } from "@/operations/readSitting";
import { readTimers } from "@/operations/readTimers";
import { SittingScreen } from "./_parts/SittingScreen";

export const metadata: Metadata = { title: "Sitting" };

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
  const [view, timers] = [await readSitting(context, what, steps?.split(",") ?? null), await readTimers(context)];
  return (
    <>
      <Live mark={mark} />
      <SittingScreen view={view} measuring={context.collection} timers={timers} />
    </>
  );
}
