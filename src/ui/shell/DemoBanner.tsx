"use client";

import { Link } from "@/ui/Link";
import { usePathname } from "next/navigation";
import { Only } from "./Only";
import { useCollectionIfAny } from "./Collection";

/** On every page of the demo: that it is one, and the way to a collection of one's own. */
export function DemoBanner() {
  const shown = useCollectionIfAny();
  if (usePathname() === "/begin" || !shown?.isDemo) return null;
  return (
    <p className="demo-banner" role="note">
      Demo: plants and keepers are made up.{" "}
      <Only right="record">
        <Link href="/begin">Start your own</Link>
      </Only>
    </p>
  );
}
