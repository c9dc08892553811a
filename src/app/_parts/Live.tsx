"use client";

import { useRouter } from "next/navigation";
import { useEffect, useRef } from "react";
import { CHANGES, LATEST, thisPage, type Told } from "./live";

/** Much that is done at once is shown at once, ms. */
const GATHER_MS = 400;
/** Where no word has come for so long, something on the way holds it back; and how often is asked then, ms. */
const SILENT_MS = 8000;
const ASK_MS = 4000;

/**
 * Shows what others do with the collection within seconds: the page is read anew whenever something was done that it does not
 * know. `mark` is what was done last when it was read. A page that is out of sight hears nothing and catches up when it is seen.
 */
export function Live({ mark }: { mark: string }) {
  const router = useRouter();
  const known = useRef(mark);
  useEffect(() => {
    let leave = () => {};
    let gathering: ReturnType<typeof setTimeout> | undefined;
    const hear = ({ mark: latest, from }: Told) => {
      if (latest === known.current) return;
      known.current = latest;
      if (from === thisPage) return;
      clearTimeout(gathering);
      gathering = setTimeout(() => router.refresh(), GATHER_MS);
    };
    const turn = () => {
      leave();
      leave = document.visibilityState === "visible" ? listen(hear) : () => {};
    };
    turn();
    document.addEventListener("visibilitychange", turn);
    return () => {
      document.removeEventListener("visibilitychange", turn);
      clearTimeout(gathering);
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
      fetch(LATEST, { redirect: "error" })
        .then(async (answer) => {
          if (answer.ok) hear((await answer.json()) as Told);
        })
        .catch(() => {});
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
