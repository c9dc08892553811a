"use client";

import { wrap, type Remote } from "comlink";
import PQueue from "p-queue";
import { useEffect, useState } from "react";
import type { Reckoner } from "@/workers/reckoner";

interface Running {
  readonly worker: Worker;
  readonly remote: Remote<Reckoner>;
  /** Rejects when the worker fails or is ended: what it was asked is never answered then. */
  readonly broken: Promise<never>;
  readonly breakOff: (why: Error) => void;
}

/** A reckoner in a worker of its own, which is started when it is first asked something, and anew after it has failed. */
export class ReckonerHandle {
  private running: Running | null = null;

  /** The answer to a question; fails with what the question failed with, or with the worker. */
  async ask<T>(question: Question<T>): Promise<T> {
    const { remote, broken } = (this.running ??= this.start());
    return Promise.race([question(remote), broken]);
  }

  end(): void {
    this.running?.breakOff(new Error("the reckoner was ended"));
  }

  private start(): Running {
    const worker = new Worker(new URL("../../workers/reckoner.ts", import.meta.url), { type: "module" });
    let breakOff = (_why: Error) => {};
    const broken = new Promise<never>((_, reject) => {
      breakOff = (why) => {
        worker.terminate();
        this.running = null;
        reject(why);
      };
    });
    // Nobody may be asking just then.
    broken.catch(() => {});
    worker.onerror = () => breakOff(new Error("the reckoner failed"));
    worker.onmessageerror = () => breakOff(new Error("the reckoner's answer could not be read"));
    return { worker, remote: wrap<Reckoner>(worker), broken, breakOff };
  }
}

/** A reckoner that ends with the component. */
export function useReckoner(): ReckonerHandle {
  const [handle] = useState(() => new ReckonerHandle());
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
