"use client";

import { useSyncExternalStore } from "react";
import { canKeep } from "@/offline/keptPages";

const never = () => () => {};

/** Whether this browser opens the application without a connection, and what is missing where it does not. */
export function WithoutALine() {
  const kept = useSyncExternalStore<boolean | null>(never, canKeep, () => null);
  if (kept === null) return null;
  return kept ? (
    <p className="mb-0">
      On this device Today, walks, what is due, mixing and the almanac also open without a connection, as you last saw
      them.
    </p>
  ) : (
    <p className="mb-0">
      This browser does not save pages, because the connection is not secure: without a connection it shows nothing.
      What you record on an open walk is kept all the same. Start the application with <code>TLS=own</code>, or with
      your own certificate, and it will.
    </p>
  );
}
