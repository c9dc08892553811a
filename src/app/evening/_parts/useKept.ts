"use client";

import { useEffect, useState } from "react";

/** What a keeper usually says, kept in this browser. */
export function useKept(key: string, usual: string): readonly [string, (value: string) => void] {
  const [value, setValue] = useState(usual);
  useEffect(() => {
    const kept = localStorage.getItem(key);
    // eslint-disable-next-line react-hooks/set-state-in-effect -- what the browser keeps is not known when the page is made
    if (kept !== null) setValue(kept);
  }, [key]);
  const keep = (next: string) => {
    setValue(next);
    localStorage.setItem(key, next);
  };
  return [value, keep];
}
