"use client";

import { wrap, type Remote } from "comlink";
import { useEffect, useState } from "react";
import type { Reckoner } from "@/workers/reckoner";

/** A reckoner in a worker of its own, which is started when it is first asked something. */
export class ReckonerHandle {
  private worker: Worker | null = null;
  private remote: Remote<Reckoner> | null = null;

  get(): Remote<Reckoner> {
    this.worker ??= new Worker(new URL("../../workers/reckoner.ts", import.meta.url), { type: "module" });
    this.remote ??= wrap<Reckoner>(this.worker);
    return this.remote;
  }

  end(): void {
    this.worker?.terminate();
    this.worker = null;
    this.remote = null;
  }
}

/** A reckoner that ends with the component. */
export function useReckoner(): ReckonerHandle {
  const [handle] = useState(() => new ReckonerHandle());
  useEffect(() => () => handle.end(), [handle]);
  return handle;
}

/**
 * Asks the reckoner and gives its last answer. While one question is under way only the newest of those that follow waits,
 * so that dragging never piles them up.
 */
export function useAnswer<T>(
  reckoner: ReckonerHandle,
  ask: (reckoner: Remote<Reckoner>) => Promise<T>,
  key: string,
): { answer: T | null; key: string | null; failed: boolean } {
  const [state, setState] = useState<{ answer: T | null; key: string | null; failed: boolean }>({
    answer: null,
    key: null,
    failed: false,
  });
  const [line] = useState(() => new Line());
  useEffect(() => {
    line.next(async () => {
      try {
        const answer = await ask(reckoner.get());
        setState({ answer, key, failed: false });
      } catch {
        setState((before) => ({ ...before, key, failed: true }));
      }
    });
    // The question is told by its key; `ask` is made anew at every drawing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [reckoner, key, line]);
  return state;
}

/** Does one thing at a time; of what waits only the newest is done. */
class Line {
  private busy = false;
  private waiting: (() => Promise<void>) | null = null;

  next(task: () => Promise<void>): void {
    this.waiting = task;
    if (!this.busy) void this.run();
  }

  private async run(): Promise<void> {
    this.busy = true;
    for (let task = this.waiting; task; task = this.waiting) {
      this.waiting = null;
      await task();
    }
    this.busy = false;
  }
}
