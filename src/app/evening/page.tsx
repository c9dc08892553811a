import type { Metadata } from "next";
import { currentContext, markNow } from "@/app/_parts/context";
import { Live } from "@/app/_parts/Live";
import { readEvening } from "@/operations/readEvening";
import { wallTimeIn } from "@/zones";
import { EveningPlan } from "./_parts/EveningPlan";

export const metadata: Metadata = { title: "This evening" };

/** What is done this evening, in what order, and what of it fits. */
export default async function EveningPage() {
  const context = await currentContext("see");
  const mark = await markNow(context);
  const view = await readEvening(context);
  const { name, timeZone } = context.collection;
  return (
    <>
      <Live mark={mark} />
      <EveningPlan
        view={view}
        measuring={context.collection}
        collection={name}
        clock={wallTimeIn(context.now, timeZone).slice(11, 16)}
      />
    </>
  );
}
