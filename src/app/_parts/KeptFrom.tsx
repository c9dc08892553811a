"use client";

import { usePathname } from "next/navigation";
import { useState, useSyncExternalStore } from "react";
import { useCollectionIfAny } from "@/ui/shell/Collection";
import { momentInWords } from "@/wording/dates";
import { wallTimeIn } from "@/zones";

const never = () => () => {};

/** Says of a page that was kept in this browser from when it is: it came without a connection. */
export function KeptFrom() {
  const keptAt = useSyncExternalStore(
    never,
    () => document.documentElement.dataset["keptAt"] ?? null,
    () => null,
  );
  const timeZone = useCollectionIfAny()?.timeZone;
  const path = usePathname();
  // Pages that follow without a loading anew have come by the line.
  const [first] = useState(path);
  const at = new Date(keptAt ?? NaN);
  if (Number.isNaN(at.getTime()) || !timeZone || path !== first) return null;
  return (
    <div className="alert alert-warning" role="status">
      No connection just now. This page is as it was on {momentInWords(wallTimeIn(at, timeZone))}.
    </div>
  );
}
