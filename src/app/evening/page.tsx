import type { Metadata } from "next";
import { currentContext, markNow } from "@/app/_parts/server/context";
import { Live } from "@/app/_parts/Live";
import { readEvening } from "@/operations/sessions/queries/readEvening";
import { wallTimeIn } from "@/zones";
import { EveningPlan } from "./_parts/EveningPlan";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "This evening" };

/** What is done this evening, in what order, and what of it fits. */
export default async function EveningPage() {
  const context = await currentContext("see");
  const mark = await markNow(context);
  const view = await cachedView(context, "evening", () => readEvening(context));
  const { name, timeZone } = context.collection;
  return (
    <>
      <Live mark={mark} />
      <AsOf />
      <EveningPlan
        view={view}
        measuring={context.collection}
        collection={name}
        clock={wallTimeIn(context.now, timeZone).slice(11, 16)}
      />
    </>
  );
}
