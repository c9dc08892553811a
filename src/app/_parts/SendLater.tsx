"use client";

import { usePathname } from "next/navigation";
import { NotSentYet } from "./NotSentYet";

/** A walk covers the page, and says it itself. */
const covered = /^\/walk\/[^/]+$/;

/** On every page: what a walk has left behind in this browser goes out, and what could not is told. */
export function SendLater() {
  return covered.test(usePathname()) ? null : <NotSentYet />;
}
