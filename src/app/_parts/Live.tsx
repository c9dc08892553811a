"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import { askLatest, CHANGES, newsOf, type Told } from "@/offline/live";

/** Where no word has come for so long, something on the way holds it back; and how often is asked then, ms. */
const SILENT_MS = 8000;
const ASK_MS = 4000;

/**
 * Shows what others do with the collection within seconds: the page is read anew whenever something was done that it does not
 * know. `mark` is what was done last when it was read. A page that is out of sight hears nothing and catches up when it is seen.
 */
export function Live({ mark }: { mark: string }) {
  const router = useRouter();
  const readWith = useRef(mark);
  useEffect(() => {
    let leave = () => {};
    const news = newsOf(readWith.current, askLatest, () => router.refresh());
    const turn = () => {
      leave();
      leave = document.visibilityState === "visible" ? listen(news.hear) : () => {};
    };
    turn();
    document.addEventListener("visibilitychange", turn);
    return () => {
      document.removeEventListener("visibilitychange", turn);
      news.leave();
      leave();
    };
  }, [router]);
  return null;
}

/** Hears word as it comes, or asks for it where none comes through. */
function listen(hear: (told: Told) => void): () => void {
  let asking: ReturnType<typeof setInterval> | undefined;
  const source = new EventSource(CHANGES);
  const ask = () => {
    source.close();
    clearTimeout(silent);
    asking ??= setInterval(() => {
      askLatest().then(hear, () => {});
    }, ASK_MS);
  };
  const silent = setTimeout(ask, SILENT_MS);
  source.onmessage = ({ data }: MessageEvent<string>) => {
    clearTimeout(silent);
    hear(JSON.parse(data) as Told);
  };
  // The browser tries again by itself where the line broke; where it gave up there is nothing to hear.
  source.onerror = () => {
    if (source.readyState === EventSource.CLOSED) ask();
  };
  return () => {
    source.close();
    clearTimeout(silent);
    clearInterval(asking);
  };
}
