"use client";

import { usePathname, useRouter } from "next/navigation";
import { useEffect } from "react";
import { may } from "@/core/access/roles";
import { useCollectionIfAny } from "@/ui/shell/Collection";
import { NotSentYet } from "./NotSentYet";
import { outbox } from "@/offline/outbox";
import { useOutbox } from "@/offline/useOutbox";

/** A walk covers the page, and says it itself. */
const covered = /^\/walk\/[^/]+$/;

/** On every page: what a walk has left behind in this browser goes out, and what could not is told. */
export function SendLater() {
  const shown = useCollectionIfAny();
  const inWalk = covered.test(usePathname());
  const { sent, held } = useOutbox();
  const arrived = held.some((one) => one.state === "waiting") ? 0 : sent.length;
  const router = useRouter();
  useEffect(() => {
    if (shown) outbox.at(shown, { who: shown.who, records: may(shown.role, "record") });
  }, [shown]);
  useEffect(() => {
    // The page was read before what went out meanwhile had arrived. A walk counts that in by itself.
    if (arrived > 0 && !inWalk) router.refresh();
  }, [arrived, inWalk, router]);
  return inWalk ? null : <NotSentYet />;
}
