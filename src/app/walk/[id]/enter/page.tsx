import type { Metadata } from "next";
import { momentNow } from "@/app/_parts/moments";
import { walkOf } from "../../_parts/walkOf";
import { SheetEntry } from "./_parts/SheetEntry";

export const metadata: Metadata = { title: "Enter a sheet" };

export default async function EnterPage({ params }: { params: Promise<{ id: string }> }) {
  const { context, view } = await walkOf(params);
  return (
    <>
      <h1>Enter a sheet</h1>
      <p>One press for each clean plant. Plants without a press count as skipped and stay due.</p>
      <SheetEntry view={view} nowMoment={momentNow(context)} />
    </>
  );
}
