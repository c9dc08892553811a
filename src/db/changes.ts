import { Client } from "pg";
import { z } from "zod";
import { run, type Asks } from "./query";

/**
 * Word of what was done, from whichever process did it to every process that listens. PostgreSQL carries it: what is told in a
 * transaction arrives when that has been written, and a process that was cut off learns that it has missed something.
 */
const CHANNEL = "wary_changed";
const AGAIN_MS = 1000;

const changeShape = z.object({
  collectionId: z.string(),
  /** What was done last: the same for everybody who has seen it. */
  mark: z.string(),
  /** The page that did it, as it calls itself; empty where it did not say. */
  from: z.string(),
});
export type Change = z.output<typeof changeShape>;

/** Hears of a change; null when some may have been missed. */
type Hears = (change: Change | null) => void;

interface Line {
  readonly hearers: Set<Hears>;
  close: () => void;
}
// One line for the whole process and database; every bundled copy of this module shares it.
const shared = globalThis as typeof globalThis & { waryLines?: Map<string, Line> };

/** Tells everybody who listens that something was done in a collection. */
export function tellChanged(asks: Asks, change: Change): Promise<void> {
  return run(asks, "select pg_notify(:channel, :payload)", { channel: CHANNEL, payload: JSON.stringify(change) });
}

/** Hears of every change in a database, until the function that is given back is called. */
export function onChange(url: string, hears: Hears): () => void {
  const lines = (shared.waryLines ??= new Map());
  const line = lines.get(url) ?? lineTo(url);
  lines.set(url, line);
  line.hearers.add(hears);
  return () => {
    line.hearers.delete(hears);
    if (line.hearers.size > 0 || lines.get(url) !== line) return;
    lines.delete(url);
    line.close();
  };
}

/** What a word says; null for one that is none of ours. */
function changeIn(payload = ""): Change | null {
  try {
    return changeShape.safeParse(JSON.parse(payload)).data ?? null;
  } catch {
    return null;
  }
}

function lineTo(url: string): Line {
  const hearers = new Set<Hears>();
  const tell = (change: Change | null) => hearers.forEach((hears) => hears(change));
  let client: Client | null = null;
  let closed = false;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const begin = async () => {
    const mine = (client = new Client({
      connectionString: url,
      keepAlive: true,
      application_name: "wary-petal changes",
    }));
    const lost = () => {
      if (client !== mine) return;
      client = null;
      if (!closed) timer = setTimeout(() => void begin(), AGAIN_MS);
    };
    mine.on("error", lost);
    mine.on("end", lost);
    mine.on("notification", ({ payload }) => {
      const change = changeIn(payload);
      if (change) tell(change);
    });
    try {
      await mine.connect();
      await mine.query(`listen ${CHANNEL}`);
      // What was done before somebody listened, or while nobody could, has not been heard.
      tell(null);
    } catch {
      lost();
    }
  };
  void begin();
  return {
    hearers,
    close() {
      closed = true;
      clearTimeout(timer);
      void client?.end().catch(() => {});
    },
  };
}
