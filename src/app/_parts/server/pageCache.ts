import "server-only";
import { now } from "@/clock";
import { databaseUrl } from "@/env";
import { answers, DatabaseSilent, LONGEST_MS, patiently, waitingUntil } from "@/operations/shared/patience";

/** What was read last, by name, with the moment it was read; shared by all bundled copies of this module. */
const shared = globalThis as typeof globalThis & {
  waryKept?: { readonly views: Map<string, { view: unknown; at: Date }>; silentSince: number };
};

/** So many views are kept; the ones read longest ago go first. */
const MOST_VIEWS = 200;
/** After so long it is asked whether the database answers at all, ms; while it has just been found not to, sooner. */
const PATIENCE_MS = 1000;
const SHORT_PATIENCE_MS = 250;
const SILENT_FOR_MS = 5000;

export interface Kept<T> {
  readonly view: T;
  /** When the view was read; null for one that has just been. */
  readonly asOf: Date | null;
}

const storeOf = () => (shared.waryKept ??= { views: new Map(), silentSince: 0 });

/**
 * Reads a view and keeps it. While the database does not answer the view that was read last stands in, with the moment it is from. One
 * that is only slow is waited for: whether it is dead is told by asking it, and not by how long something takes. Without a kept view
 * the failure is the caller's, after {@link LONGEST_MS}. What is not worth keeping leaves no trace.
 */
export async function kept<T>(
  name: string,
  read: () => Promise<T>,
  worthKeeping: (view: T) => boolean = () => true,
): Promise<Kept<T>> {
  const store = storeOf();
  const known = store.views.get(name);
  const silent = store.silentSince > 0 && performance.now() - store.silentSince < SILENT_FOR_MS;
  const end = performance.now() + LONGEST_MS;
  try {
    const reading = waitingUntil(end, read);
    const view = known ? await orKnownDead(reading, silent ? SHORT_PATIENCE_MS : PATIENCE_MS) : await reading;
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

/** What a page shows beside its own: null where it could not be read, which is said where it would stand. */
export async function cachedBeside<T>(name: string, read: () => Promise<T>): Promise<T | null> {
  try {
    return (await kept(name, read)).view;
  } catch (error) {
    console.error(error);
    return null;
  }
}

/** What some reading comes to; or, once it has taken so long and the database answers nobody, its silence. */
async function orKnownDead<T>(reading: Promise<T>, ms: number): Promise<T> {
  reading.catch(() => {});
  const first = await soonOr(reading, ms);
  if (first !== LATE) return first;
  if (await answers(databaseUrl())) return reading;
  throw new DatabaseSilent();
}

const LATE = Symbol("late");

function soonOr<T>(reading: Promise<T>, ms: number): Promise<T | typeof LATE> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<typeof LATE>((resolve) => (timer = setTimeout(() => resolve(LATE), ms)));
  return Promise.race([reading, late]).finally(() => clearTimeout(timer));
}

/** What a statement fails with that was asked wrongly: bad data, a broken rule, something that is not there (SQLSTATE classes). */
const ASKED_WRONGLY = /^(22|23|42)/;

/** Whether something failed because of the database: a fault of our own is not hidden behind what was known before. */
function isOfTheDatabase(error: unknown): boolean {
  // By their names: another bundle has a copy of the class.
  if (!(error instanceof Error) || !/^(Sequelize|DatabaseSilent)/.test(error.name)) return false;
  const state = (error as { original?: { code?: unknown } }).original?.code;
  return typeof state !== "string" || !ASKED_WRONGLY.test(state);
}

/** What some work comes to, or its failure, or that of a database that has not answered in time. */
export function withTimeout<T>(ms: number, work: Promise<T>): Promise<T> {
  return waitingUntil(performance.now() + ms, () => patiently(work));
}
