"use client";

import { useRouter } from "next/navigation";
import { useEffect } from "react";
import { askLatest } from "@/offline/live";

/** How often it is asked whether the database answers again, ms. */
const ASK_MS = 4000;

/** Stands on a page that shows what was read earlier: reads it anew once the database answers, as long as it stands there. */
export function ReadAgain() {
  const router = useRouter();
  useEffect(() => {
    let left = false;
    let asking: ReturnType<typeof setTimeout>;
    const later = () => {
      if (left) return;
      asking = setTimeout(() => {
        // One question at a time: a database that stands still answers none of them.
        void askLatest()
          .then(() => left || router.refresh())
          .catch(() => {})
          .finally(later);
      }, ASK_MS);
    };
    later();
    return () => {
      left = true;
      clearTimeout(asking);
    };
  }, [router]);
  return null;
}
