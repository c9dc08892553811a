import { AsyncLocalStorage } from "node:async_hooks";
import pg from "pg";

/** The database has not answered in the time that somebody had. */
export class DatabaseSilent extends Error {
  override name = "DatabaseSilent";
  constructor() {
    super("The database does not answer.");
  }
}

/** The longest that a page waits for one statement where nobody has said less, ms. */
export const LONGEST_MS = 20_000;

// One for the whole process, whichever bundled copy of this module asks.
const shared = globalThis as typeof globalThis & {
  waryPatience?: AsyncLocalStorage<number>;
  waryAnswers?: { readonly at: number; readonly is: Promise<boolean> };
};
const patience = () => (shared.waryPatience ??= new AsyncLocalStorage());

/** Does something whose statements are waited for until a moment (of `performance.now`), and no longer. */
export function waitingUntil<T>(moment: number, work: () => Promise<T>): Promise<T> {
  return patience().run(moment, work);
}

/** What a statement comes to, or {@link DatabaseSilent} where it has not answered in time. Every statement goes through here. */
export async function patiently<T>(statement: Promise<T>): Promise<T> {
  const until = patience().getStore() ?? performance.now() + LONGEST_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const silence = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new DatabaseSilent()), Math.max(0, until - performance.now()));
  });
  // Whatever it comes to after that is nobody's business any more.
  statement.catch(() => {});
  return Promise.race([statement, silence]).finally(() => clearTimeout(timer));
}

const PING_MS = 1000;
const KNOWN_FOR_MS = 2000;

/**
 * Whether the database answers at all, which a slow statement does not tell: a connection of its own is opened and asked. What was found
 * out holds for a moment, for whoever else wants to know.
 */
export function answers(url: string): Promise<boolean> {
  const known = shared.waryAnswers;
  if (known && performance.now() - known.at < KNOWN_FOR_MS) return known.is;
  const is = ask(url);
  shared.waryAnswers = { at: performance.now(), is };
  return is;
}

async function ask(url: string): Promise<boolean> {
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: PING_MS, query_timeout: PING_MS });
  client.on("error", () => {});
  try {
    await client.connect();
    await client.query("select 1");
    return true;
  } catch {
    return false;
  } finally {
    // One that never answered is not waited for to say goodbye.
    void client.end().catch(() => {});
  }
}
