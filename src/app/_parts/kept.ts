import "server-only";
import { now } from "@/clock";

/** What was read last, by name, with the moment it was read; shared by all bundled copies of this module. */
const shared = globalThis as typeof globalThis & {
  waryKept?: { readonly views: Map<string, { view: unknown; at: Date }>; silentSince: number };
};

/** So many views are kept; the ones read longest ago go first. */
const MOST_VIEWS = 60;
/** How long a page waits for the database, ms; and how long while it has just been silent. */
const PATIENCE_MS = 2000;
const SHORT_PATIENCE_MS = 250;
const SILENT_FOR_MS = 5000;

export interface Kept<T> {
  readonly view: T;
  /** When the view was read; null for one that has just been. */
  readonly asOf: Date | null;
}

/**
 * Reads a view and keeps it. While the database does not answer, or cannot, the view that was read last stands in, with the
 * moment it is from; without one the failure is the caller's. What is not worth keeping leaves no trace.
 */
export async function kept<T>(
  name: string,
  read: () => Promise<T>,
  worthKeeping: (view: T) => boolean = () => true,
): Promise<Kept<T>> {
  const store = (shared.waryKept ??= { views: new Map(), silentSince: 0 });
  const known = store.views.get(name);
  const silent = performance.now() - store.silentSince < SILENT_FOR_MS && store.silentSince > 0;
  try {
    const view = await within(known && silent ? SHORT_PATIENCE_MS : PATIENCE_MS, read());
    store.views.delete(name);
    if (worthKeeping(view)) store.views.set(name, { view, at: now() });
    const oldest = store.views.keys().next().value;
    if (store.views.size > MOST_VIEWS && oldest !== undefined) store.views.delete(oldest);
    store.silentSince = 0;
    return { view, asOf: null };
  } catch (error) {
    if (!isOfTheDatabase(error)) throw error;
    store.silentSince = performance.now();
    if (!known) throw error;
    console.error(error instanceof Error ? error.message : error);
    return { view: known.view as T, asOf: known.at };
  }
}

class Silence extends Error {
  constructor() {
    super("The database does not answer.");
  }
}

/** Whether something failed because of the database: a fault of our own is not hidden behind what was known before. */
function isOfTheDatabase(error: unknown): boolean {
  return error instanceof Silence || (error instanceof Error && error.name.startsWith("Sequelize"));
}

/** What some work comes to, or its failure, or that of a database that has not answered in time. */
export async function within<T>(ms: number, work: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const silence = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Silence()), ms);
  });
  // Whatever the work comes to after that is nobody's business any more.
  work.catch(() => {});
  return Promise.race([work, silence]).finally(() => clearTimeout(timer));
}
