"use client";

import { usePathname } from "next/navigation";
import { useEffect } from "react";
import { useCollectionIfAny } from "@/ui/shell/Collection";
import { NotSentYet } from "./NotSentYet";
import { outbox } from "./outbox";

/** A walk covers the page, and says it itself. */
const covered = /^\/walk\/[^/]+$/;

/** On every page: what a walk has left behind in this browser goes out, and what could not is told. */
export function SendLater() {
  const shown = useCollectionIfAny();
  const path = usePathname();
  useEffect(() => {
    if (shown) outbox.at(shown);
  }, [shown]);
  return covered.test(path) ? null : <NotSentYet />;
}
