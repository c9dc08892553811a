"use client";

import { useSyncExternalStore } from "react";
import type { ToldId } from "@/core/suitability/told";

/** Which cautions whoever uses this browser has had before them when they wrote an act down. */
const KEY = "cautions read";
const nothing: readonly string[] = [];

let known: { readonly raw: string; readonly ids: readonly string[] } = { raw: "", ids: nothing };
const listeners = new Set<() => void>();

function read(): readonly string[] {
  const raw = localStorage.getItem(KEY) ?? "";
  if (raw !== known.raw) known = { raw, ids: raw.split(" ").filter(Boolean) };
  return known.ids;
}

/** Those that have been read; none while that is not known. */
export function useReadCautions(): readonly string[] {
  return useSyncExternalStore(
    (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
    read,
    () => nothing,
  );
}

/** Keeps that these stood before a press that was made. */
export function keepRead(ids: readonly ToldId[]): void {
  const all = [...new Set([...read(), ...ids])];
  localStorage.setItem(KEY, all.join(" "));
  for (const changed of listeners) changed();
}
