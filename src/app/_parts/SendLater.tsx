"use client";

import { usePathname, useRouter } from "next/navigation";
import { useEffect } from "react";
import { may } from "@/core/access/roles";
import { useCollectionIfAny } from "@/ui/shell/Collection";
import { NotSentYet } from "./NotSentYet";
import { outbox } from "@/offline/outbox";
import { useOutbox } from "@/offline/useOutbox";

/** A walk and a session say it themselves, and count in what has arrived: nothing is read again after each press. */
const own = /^\/(walk\/[^/]+|session|session\/due\/[^/]+)$/;

/** On every page: what a walk has left behind in this browser goes out, and what could not is told. */
export function SendLater() {
  const shown = useCollectionIfAny();
  const bySelf = own.test(usePathname());
  const { sent, held } = useOutbox();
  const arrived = held.some((one) => one.state === "waiting") ? 0 : sent.length;
  const router = useRouter();
  useEffect(() => {
    if (shown) outbox.at(shown, { who: shown.who, records: may(shown.role, "record") });
  }, [shown]);
  useEffect(() => {
    // The page was read before what went out meanwhile had arrived. There are pages that count that in.
    if (arrived > 0 && !bySelf) router.refresh();
  }, [arrived, bySelf, router]);
  return bySelf ? null : <NotSentYet />;
}
