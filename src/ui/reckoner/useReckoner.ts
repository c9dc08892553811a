"use client";

import type { Remote } from "comlink";
import PQueue from "p-queue";
import { useEffect, useState } from "react";
import type { Reckoner } from "@/workers/reckoner";
import { WorkerHandle } from "../workerHandle";

/** A reckoner in a worker of its own. */
export type ReckonerHandle = WorkerHandle<Reckoner>;

const openReckoner = () => new Worker(new URL("../../workers/reckoner.ts", import.meta.url), { type: "module" });

/** A reckoner that ends with the component. */
export function useReckoner(): ReckonerHandle {
  const [handle] = useState(() => new WorkerHandle<Reckoner>(openReckoner));
  useEffect(() => () => handle.end(), [handle]);
  return handle;
}

/** No question takes so long; one that does is broken off, ms. */
const PATIENCE_MS = 30_000;

/** Why there is no answer: the question makes no sense, or the worker failed and may be asked again. */
type Failure = "senseless" | "broken";

/** Something to be asked of the reckoner. */
export type Question<T> = (reckoner: Remote<Reckoner>) => Promise<T>;

interface Answer<T> {
  readonly answer: T | null;
  readonly key: string | null;
  readonly failed: Failure | null;
}

/**
 * Asks the reckoner and gives its last answer. While one question is under way only the newest of those that follow waits,
 * so that dragging never piles them up. `again` asks once more.
 */
export function useAnswer<T>(
  reckoner: ReckonerHandle,
  ask: Question<T>,
  key: string,
): Answer<T> & { readonly again: () => void } {
  const [state, setState] = useState<Answer<T>>({ answer: null, key: null, failed: null });
  const [queue] = useState(() => new PQueue({ concurrency: 1, timeout: PATIENCE_MS, throwOnTimeout: true }));
  const [times, setTimes] = useState(0);
  useEffect(() => {
    queue.clear();
    queue
      .add(() => reckoner.ask(ask))
      .then(
        (answer) => setState({ answer: answer as T, key, failed: null }),
        (error: unknown) => {
          const failed = error instanceof Error && error.name === "RangeError" ? "senseless" : "broken";
          if (failed === "broken") reckoner.end();
          setState((before) => ({ ...before, key, failed }));
        },
      );
    // The question is told by its key; `ask` is made anew at every drawing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [reckoner, key, queue, times]);
  return { ...state, again: () => setTimes((before) => before + 1) };
}
