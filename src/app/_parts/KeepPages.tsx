"use client";

import { useEffect } from "react";
import { useCollectionIfAny } from "@/ui/shell/Collection";
import { canKeep, KEPT_AT, PAGES_CACHE } from "@/offline/keptPages";

/** The pages are gone through again after so long, ms; and only when the page has settled. */
const AGAIN_MS = 10 * 60_000;
const SETTLE_MS = 3000;

const BUILT_FROM = process.env["BUILT_FROM"] ?? "";

/** On every page: has the browser keep what opens without a connection. It does nothing where a browser cannot. */
export function KeepPages() {
  const id = useCollectionIfAny()?.id;
  useEffect(() => {
    if (!canKeep()) return;
    // Where it cannot be registered the application works as before, with a connection.
    navigator.serviceWorker.register("/serwist/sw.js", { scope: "/", type: "module" }).catch(() => {});
    if (!id) return;
    const timer = setTimeout(() => void keep(id), SETTLE_MS);
    return () => clearTimeout(timer);
  }, [id]);
  return null;
}

async function keep(collectionId: string): Promise<void> {
  const [last, at, build] = (localStorage.getItem(KEPT_AT) ?? "").split(" ");
  const same = last === collectionId && build === BUILT_FROM;
  if (same && Date.now() - Number(at) < AGAIN_MS) return;
  try {
    // What was kept of another collection is none of this one's, and pages of an earlier build ask for parts that are gone.
    if (!same) await caches.delete(PAGES_CACHE);
    const list = await fetch("/kept", { redirect: "error" });
    if (!list.ok) return;
    const cache = await caches.open(PAGES_CACHE);
    for (const page of (await list.json()) as string[]) {
      const answer = await fetch(page, { headers: { accept: "text/html" } });
      if (answer.ok && !answer.redirected) await cache.put(page, answer);
    }
    localStorage.setItem(KEPT_AT, `${collectionId} ${Date.now()} ${BUILT_FROM}`);
  } catch {
    // Without a line there is nothing to be kept; the next page tries again.
  }
}
