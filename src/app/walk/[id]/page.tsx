import type { Metadata } from "next";
import { walkOf } from "../_parts/walkOf";
import { WalkScreen } from "./_parts/WalkScreen";

export const metadata: Metadata = { title: "Walk" };

export default async function WalkingPage({ params }: { params: Promise<{ id: string }> }) {
  const { view } = await walkOf(params);
  return <WalkScreen view={view} />;
}
