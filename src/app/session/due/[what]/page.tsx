import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { AsOf } from "@/app/_parts/AsOf";
import { cachedView } from "@/app/_parts/server/cachedView";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { Live } from "@/app/_parts/Live";
import { momentNow } from "@/app/_parts/moments";
import { workIds } from "@/core/acts/workIds";
import { mixIds } from "@/core/knowledge/mixes/mixes";
import { readDue } from "@/operations/sessions/queries/readDue";
import { treatmentName } from "@/wording/names/acts";
import { GivenSession } from "../../_parts/GivenSession";

export const metadata: Metadata = { title: "Treatment session" };

/** What is due of one mix or one work, or all that is: step by step over the plants, or plant by plant. */
export default async function DuePage({
  params,
  searchParams,
}: {
  params: Promise<{ what: string }>;
  searchParams: Promise<{ steps?: string }>;
}) {
  const { what: asked } = await params;
  const { steps } = await searchParams;
  const what = (["all", ...mixIds, ...workIds] as const).find((id) => id === asked);
  if (!what) notFound();
  const context = await currentContext("see");
  const mark = await markNow(context);
  const only = steps?.split(",") ?? null;
  const view = await cachedView(context, `due ${what} ${steps}`, () => readDue(context, what, only));
  return (
    <>
      <Live mark={mark} />
      <h1>{what === "all" ? "Everything due" : treatmentName(what)}</h1>
      <AsOf />
      <GivenSession
        key={`${what} ${steps}`}
        {...view}
        stepPages={`/session/due/${what}`}
        measuring={context.collection}
        now={momentNow(context)}
      />
    </>
  );
}
