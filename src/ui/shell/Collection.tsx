"use client";

import { createContext, useContext, useEffect, type ReactNode } from "react";
import type { RoleId } from "@/core/access/roles";
import type { Units } from "@/wording/units";
import { COLLECTION_COOKIE, remember, remembered } from "./cookies";

/** The collection a page shows, as far as its parts in the browser need it. */
export interface ShownCollection {
  readonly id: string;
  readonly name: string;
  readonly timeZone: string;
  readonly units: Units;
  readonly isDemo: boolean;
  /** Where to call when something got into an eye or a mouth; empty where nobody has said. */
  readonly poisonCentre: string;
  /** The account of whoever looks at it; empty while nobody has one. */
  readonly who: string;
  /** Who whoever looks at it is to it. */
  readonly role: RoleId;
}

const Shown = createContext<ShownCollection | null>(null);

/**
 * Tells the parts of a page which collection it is about: what they send says so, whatever another tab has chosen meanwhile.
 * A page that comes to the front again after such a choice is read anew.
 */
export function CollectionProvider({ shown, children }: { shown: ShownCollection | null; children: ReactNode }) {
  const id = shown?.id ?? null;
  useEffect(() => {
    if (id !== null && remembered(COLLECTION_COOKIE) === null) remember(COLLECTION_COOKIE, id);
    const look = () => {
      const chosen = remembered(COLLECTION_COOKIE);
      if (!document.hidden && id !== null && chosen !== null && chosen !== id) location.reload();
    };
    document.addEventListener("visibilitychange", look);
    addEventListener("focus", look);
    return () => {
      document.removeEventListener("visibilitychange", look);
      removeEventListener("focus", look);
    };
  }, [id]);
  return <Shown value={shown}>{children}</Shown>;
}

/** The collection of this page; null on the first page, where there may be none. */
export function useCollectionIfAny(): ShownCollection | null {
  return useContext(Shown);
}

/** What the keeper measures in; metric on the first page, where there may be no collection. */
export function useUnits(): Units {
  return useContext(Shown)?.units ?? "metric";
}

/** The collection of this page. */
export function useCollection(): ShownCollection {
  const shown = useContext(Shown);
  if (!shown) throw new Error("this page is about no collection");
  return shown;
}
