"use client";

import type { Remote } from "comlink";
import PQueue from "p-queue";
import { useEffect, useState } from "react";
import type { NotRead } from "@/wording/advice/seasons/cards";
import type { CardReader } from "@/workers/cardReader";
import { WorkerHandle } from "../workerHandle";

/** No photo takes so long, also on an old phone; one that does is given up, ms. */
const PATIENCE_MS = 90_000;

const openReader = () => new Worker(new URL("../../workers/cardReader.ts", import.meta.url), { type: "module" });

/** Reads photos in a worker of its own, which is started when it is first asked, and ends with the component or where it hangs. */
export function useCardReader(): <A>(question: (reader: Remote<CardReader>) => Promise<A>) => Promise<A> {
  const [handle] = useState(() => new WorkerHandle<CardReader>(openReader));
  const [queue] = useState(() => new PQueue({ concurrency: 1, timeout: PATIENCE_MS, throwOnTimeout: true }));
  useEffect(() => () => handle.end(), [handle]);
  return (question) =>
    queue
      .add(() => handle.ask(question))
      .catch((error: unknown) => {
        // What it was reading it would read for ever.
        if (error instanceof Error && error.name === "TimeoutError") handle.end();
        throw error;
      }) as ReturnType<typeof question>;
}

const byName: Readonly<Record<string, NotRead>> = { InvalidStateError: "no_picture", TooManySpots: "too_many" };

export const whyNotRead = (error: unknown): NotRead => (error instanceof Error && byName[error.name]) || "failed";
