"use client";

import type { ReactNode } from "react";
import { usePhone } from "./shell/usePhone";

/** What a phone folds under one line and a wider screen shows. */
export function PhoneFold({ summary, children }: { summary: string; children: ReactNode }) {
  const phone = usePhone();
  if (!phone) return children;
  return (
    <details className="mb-2">
      <summary>{summary}</summary>
      {children}
    </details>
  );
}
