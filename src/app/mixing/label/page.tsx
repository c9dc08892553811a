import type { Metadata } from "next";
import { currentContext } from "@/app/_parts/server/context";
import { wallTimeIn } from "@/zones";
import { isMix, mixes, pour } from "@/core/knowledge/mixes/mixes";
import { labelled } from "@/core/knowledge/household/bottles";
import { mL } from "@/core/units/volume";
import { Labels } from "./_parts/Labels";

export const metadata: Metadata = { title: "Labels for a spray bottle" };

const USUAL_ML = 500;
const LARGEST_ML = 20_000;

export default async function LabelPage({ searchParams }: { searchParams: Promise<{ mix?: string; ml?: string }> }) {
  const { collection, now } = await currentContext();
  const { mix: asked = "", ml } = await searchParams;
  const mix = isMix(asked) ? asked : "soapMild";
  const typed = Number(ml);
  const totalMl = typed >= 1 && typed <= LARGEST_ML ? typed : USUAL_ML;
  const rate = labelled(collection.bottles, mixes[mix].remedy);
  const perLitreMl = rate?.unit === "mL" ? rate.perLitre : null;
  const pouring = pour(mix, mL(totalMl), Math.min(1, collection.alcoholPercent / 100), perLitreMl);
  const keepsHours = pouring.code === "ok" ? pouring.keepsHours : null;
  const until = keepsHours === null ? null : new Date(now.getTime() + keepsHours * 3_600_000);
  return (
    <Labels
      mix={mix}
      totalMl={totalMl}
      made={wallTimeIn(now, collection.timeZone)}
      uselessAfter={until && wallTimeIn(until, collection.timeZone)}
    />
  );
}
