import type { Metadata } from "next";
import { Live } from "@/app/_parts/Live";
import { readTimers } from "@/operations/readTimers";
import { walkOf } from "../_parts/walkOf";
import { WalkScreen } from "./_parts/WalkScreen";

export const metadata: Metadata = { title: "Walk" };

export default async function WalkingPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view, mark } = await walkOf(params);
  const timers = await readTimers(context);
  return (
    <>
      <Live mark={mark} />
      <WalkScreen view={view} timers={timers} />
    </>
  );
}
