import type { Metadata } from "next";
import { Live } from "@/app/_parts/Live";
import { readTimers } from "@/operations/acts/queries/readTimers";
import { walkOf } from "../_parts/walkOf";
import { WalkScreen } from "./_parts/WalkScreen";
import { cachedView } from "@/app/_parts/server/cachedView";
import { AsOf } from "@/app/_parts/AsOf";

export const metadata: Metadata = { title: "Walk" };

export default async function WalkingPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, mark } = await walkOf(params);
  const timers = await cachedView(context, "timers", () => readTimers(context));
  return (
    <>
      <Live mark={mark} />
      <AsOf />
      <WalkScreen view={view} timers={timers} />
    </>
  );
}
