"use client";

import { useCallback, useSyncExternalStore } from "react";
import type { CautionReadId } from "@/core/advice/tolerance/cautionsRead";
import { useCollectionIfAny } from "./shell/Collection";

/**
 * Which cautions a keeper has had before their eyes when they wrote an act down, kept in this browser for each of them. What was never
 * on the screen is not read, however far up the press stood.
 */
const keyOf = (who: string) => `cautions read ${who}`;
const nothing: readonly string[] = [];

const known = new Map<string, { readonly raw: string; readonly ids: readonly string[] }>();
const listeners = new Set<() => void>();
/** On the screen since this page of the application was opened. */
const seen = new Set<string>();

function read(who: string): readonly string[] {
  const raw = localStorage.getItem(keyOf(who)) ?? "";
  const last = known.get(who);
  if (last?.raw === raw) return last.ids;
  const ids = raw.split(" ").filter(Boolean);
  known.set(who, { raw, ids });
  return ids;
}

const subscribe = (changed: () => void) => {
  listeners.add(changed);
  return () => listeners.delete(changed);
};

export interface ReadCautions {
  /** Those that have been read; none while that is not known. */
  readonly ids: readonly string[];
  /** Keeps of these those that were on the screen, now that the press they stood before was made. */
  readonly keep: (ids: readonly CautionReadId[]) => void;
}

/** What the keeper at this browser has read. */
export function useReadCautions(): ReadCautions {
  const who = useCollectionIfAny()?.who ?? "";
  const ids = useSyncExternalStore(
    subscribe,
    () => read(who),
    () => nothing,
  );
  const keep = useCallback(
    (ids: readonly CautionReadId[]) => {
      const all = [...new Set([...read(who), ...ids.filter((id) => seen.has(id))])];
      try {
        localStorage.setItem(keyOf(who), all.join(" "));
      } catch {
        // A browser that keeps nothing shows them whole the next time.
      }
      for (const changed of listeners) changed();
    },
    [who],
  );
  return { ids, keep };
}

/** Goes to the `ref` of a caution: notes it once most of it has been on the screen. */
export function noteSeen(id: CautionReadId) {
  return (line: HTMLElement | null) => {
    if (!line || seen.has(id)) return;
    const watch = new IntersectionObserver(
      (entries) => {
        if (!entries.some(({ isIntersecting }) => isIntersecting)) return;
        seen.add(id);
        watch.disconnect();
      },
      { threshold: 0.6 },
    );
    watch.observe(line);
    return () => watch.disconnect();
  };
}
