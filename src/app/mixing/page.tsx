import type { Metadata } from "next";
import { Link } from "@/ui/Link";
import { currentContext } from "../_parts/server/context";
import { inUse } from "@/core/knowledge/household/bottles";
import { isMix } from "@/core/knowledge/mixes/mixes";
import { CheckDesk } from "./_parts/CheckDesk";
import { MixingDesk } from "./_parts/MixingDesk";

export const metadata: Metadata = { title: "Mixing" };

export default async function MixingPage({ searchParams }: { searchParams: Promise<{ mix?: string; ml?: string }> }) {
  const { mix = "", ml } = await searchParams;
  const totalMl = Number(ml);
  const { collection } = await currentContext();
  return (
    <>
      <div className="d-flex flex-wrap gap-2 align-items-center justify-content-between mb-2">
        <h1>Mixing</h1>
        <Link className="btn btn-outline-primary" href="/mixing/cupboard">
          Cupboard
        </Link>
      </div>
      <MixingDesk
        measuring={collection}
        home={{ ...collection, bottles: inUse(collection.bottles) }}
        asked={{ mix: isMix(mix) ? mix : null, ml: totalMl > 0 ? totalMl : null }}
      />
      <CheckDesk alcoholPercent={collection.alcoholPercent} bottles={collection.bottles} />
    </>
  );
}
