import { availableParallelism } from "node:os";
import { Worker } from "node:worker_threads";
import { fileURLToPath } from "node:url";
import { buildSync } from "esbuild";
import type { Questions, ReckonAll } from "@/operations/plants/reckonQuestions";

/** What one thread is given at a time. */
export interface Helping {
  readonly id: number;
  readonly questions: Questions;
}

type Answers = Awaited<ReturnType<ReckonAll>>;

/** So many questions go to a thread at once: one plant's or a few plants'. */
const HELPING = 40;
const MOST_THREADS = 4;

export interface Reckoners {
  readonly reckonAll: ReckonAll;
  readonly end: () => Promise<void>;
}

/** What a thread carries out, as one piece of script: one that reads its sources file by file begins ten seconds later on a small machine. */
function script(): URL {
  const { outputFiles } = buildSync({
    entryPoints: [fileURLToPath(new URL("reckonWorker.ts", import.meta.url))],
    write: false,
    bundle: true,
    platform: "node",
    format: "esm",
    target: "node20",
    logLevel: "error",
  });
  return new URL(`data:text/javascript;base64,${Buffer.from(outputFiles[0]!.contents).toString("base64")}`);
}

/** Threads that reckon side by side, one for each core up to four. They are started when they are first needed. */
export function reckoners(threads = Math.min(MOST_THREADS, availableParallelism())): Reckoners {
  let workers: Worker[] | null = null;
  const waiting = new Map<number, { resolve: (answers: Answers) => void; reject: (error: unknown) => void }>();
  let last = 0;
  const start = (): Worker[] => {
    const file = script();
    const pool = Array.from({ length: threads }, () => {
      // Nothing of what its process begins with is needed there.
      const worker = new Worker(file, { execArgv: [] });
      worker.on("message", ({ id, answers }: { id: number; answers: Answers }) => {
        waiting.get(id)?.resolve(answers);
        waiting.delete(id);
      });
      // One that fails takes what waits with it: the job says so and begins again with others.
      worker.on("error", (error) => {
        workers = null;
        for (const one of pool) void one.terminate();
        for (const { reject } of waiting.values()) reject(error);
        waiting.clear();
      });
      worker.unref();
      return worker;
    });
    return pool;
  };
  return {
    async reckonAll(questions) {
      const pool = (workers ??= start());
      const helpings: Promise<Answers>[] = [];
      for (let i = 0; i < questions.length; i += HELPING) {
        const id = last++;
        const worker = pool[helpings.length % pool.length]!;
        helpings.push(new Promise<Answers>((resolve, reject) => waiting.set(id, { resolve, reject })));
        worker.postMessage({ id, questions: questions.slice(i, i + HELPING) } satisfies Helping);
      }
      return (await Promise.all(helpings)).flat();
    },
    async end() {
      const all = workers ?? [];
      workers = null;
      await Promise.all(all.map((worker) => worker.terminate()));
    },
  };
}
