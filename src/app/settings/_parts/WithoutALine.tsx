"use client";

import { useSyncExternalStore } from "react";
import { canKeep } from "@/ui/shell/keptPages";

const never = () => () => {};

/** Whether this browser opens the application without a connection, and what is missing where it does not. */
export function WithoutALine() {
  const kept = useSyncExternalStore<boolean | null>(never, canKeep, () => null);
  if (kept === null) return null;
  return kept ? (
    <p className="mb-0">
      On this device Today, the walks, what is due, mixing and the almanac open without a connection too, as you last
      saw them.
    </p>
  ) : (
    <p className="mb-0">
      This browser keeps no pages, because it does not take the connection for a secure one: without a line it shows
      nothing. What you write down on an open walk is kept all the same. Start the application with <code>TLS=own</code>
      , or with a certificate of yours, and it keeps them.
    </p>
  );
}
