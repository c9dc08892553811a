"use client";

import type { ReactNode } from "react";
import { usePhone } from "./shell/usePhone";

/**
 * What a phone folds under one line and a wider screen shows. It stands in the same place of the page on both, so that a phone that is turned
 * loses nothing of what was typed or chosen in it.
 */
export function PhoneFold({ summary, children }: { summary: string; children: ReactNode }) {
  return (
    <details className="phone-fold" open={!usePhone()}>
      <summary>{summary}</summary>
      {children}
    </details>
  );
}
