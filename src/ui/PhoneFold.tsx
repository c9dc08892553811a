"use client";

import { useSyncExternalStore, type ReactNode } from "react";
import { usePhone } from "./shell/usePhone";

const never = () => () => {};
/** Whether the page's script has begun. */
const useBegun = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );

/**
 * What a phone folds under one line and a wider screen shows. It stands in the same place of the page on both, so that a phone that is turned
 * loses nothing of what was typed or chosen in it. Until the page's script has begun nobody knows which of them it is, and the styles
 * hide on a phone what would be folded away a moment later, under somebody's thumb.
 */
export function PhoneFold({ summary, children }: { summary: string; children: ReactNode }) {
  const open = !usePhone();
  return (
    <details className={useBegun() ? "phone-fold" : "phone-fold phone-fold-begins"} open={open}>
      <summary>{summary}</summary>
      <div>{children}</div>
    </details>
  );
}
