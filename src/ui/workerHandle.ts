import { wrap, type Remote } from "comlink";

interface Running<T> {
  readonly worker: Worker;
  readonly remote: Remote<T>;
  /** Rejects when the worker fails or is ended: what it was asked is never answered then. */
  readonly broken: Promise<never>;
  readonly breakOff: (why: Error) => void;
}

/** A worker that is started when it is first asked something, and anew after it has failed. */
export class WorkerHandle<T> {
  private running: Running<T> | null = null;

  constructor(private readonly open: () => Worker) {}

  /** The answer to a question; fails with what the question failed with, or with the worker. */
  async ask<A>(question: (remote: Remote<T>) => Promise<A>): Promise<A> {
    const { remote, broken } = (this.running ??= this.start());
    return Promise.race([question(remote), broken]);
  }

  end(): void {
    this.running?.breakOff(new Error("the worker was ended"));
  }

  private start(): Running<T> {
    const worker = this.open();
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
    worker.onerror = () => breakOff(new Error("the worker failed"));
    worker.onmessageerror = () => breakOff(new Error("the worker's answer could not be read"));
    return { worker, remote: wrap<T>(worker), broken, breakOff };
  }
}
