"use client";

import { ThemeProvider } from "next-themes";
import type { ReactNode } from "react";

/** Day and night: the keeper's choice in this browser, else what the system asks for; set before the first paint. */
export function Theme({ nonce, children }: { nonce: string | undefined; children: ReactNode }) {
  return (
    <ThemeProvider attribute="data-bs-theme" storageKey="wary-petal-theme" enableSystem nonce={nonce}>
      {children}
    </ThemeProvider>
  );
}
