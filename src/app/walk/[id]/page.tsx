import type { Metadata } from "next";
import { Live } from "@/app/_parts/Live";
import { walkOf } from "../_parts/walkOf";
import { WalkScreen } from "./_parts/WalkScreen";

export const metadata: Metadata = { title: "Walk" };

export default async function WalkingPage({ params }: { params: Promise<{ id: string }> }) {
  const { view, mark } = await walkOf(params);
  return (
    <>
      <Live mark={mark} />
      <WalkScreen view={view} />
    </>
  );
}
