import { askerNow, contextIfAny, stillOpen } from "@/app/_parts/server/context";
import type { Told } from "@/offline/live";
import { ADDRESS_HEADER } from "@/app/_parts/server/peer";
import { may } from "@/core/access/roles";
import { databaseUrl } from "@/env";
import { hearChanges } from "@/operations/record/queries/hearChanges";
import { readRevision } from "@/operations/record/queries/readRevision";

/** A line on which nothing is said is given up somewhere on the way; and whoever was shut out meanwhile hears no more. ms. */
const BEAT_MS = 20_000;
/** So many pages may listen to one process, and so many of them by one device or address; those beyond ask now and then. */
const MOST = 2000;
const MOST_OF_ONE = 24;
const shared = globalThis as typeof globalThis & { waryListening?: Map<string, number> };
const listening = () => (shared.waryListening ??= new Map());

function count(who: string, by: 1 | -1): void {
  const now = (listening().get(who) ?? 0) + by;
  if (now > 0) listening().set(who, now);
  else listening().delete(who);
}

/** Tells a page, as long as it is open, whenever something has been done with the collection that it shows. */
export async function GET(request: Request): Promise<Response> {
  const context = await contextIfAny();
  if (!context || !may(context.role, "see")) return new Response(null, { status: 403 });
  const who = (await askerNow())?.deviceId ?? request.headers.get(ADDRESS_HEADER) ?? "unknown";
  const all = [...listening().values()].reduce((sum, n) => sum + n, 0);
  if (all >= MOST || (listening().get(who) ?? 0) >= MOST_OF_ONE) return new Response(null, { status: 503 });
  const open = await stillOpen(context.collection.id);
  const text = new TextEncoder();
  let end = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      count(who, 1);
      let ended = false;
      const say = (line: string) => {
        if (!ended) controller.enqueue(text.encode(line));
      };
      const tell = (told: Told) => say(`data: ${JSON.stringify(told)}\n\n`);
      const tellLatest = () =>
        readRevision(context).then(
          (mark) => tell({ mark }),
          // Without the database nothing is done either; when it is back this is asked for again.
          () => {},
        );
      const leave = hearChanges(databaseUrl(), context, (change) => {
        if (!change) void tellLatest();
        else tell({ mark: change.mark, from: change.from });
      });
      const beat = setInterval(() => {
        say(":\n\n");
        open().then(
          (is) => is || end(),
          () => {},
        );
      }, BEAT_MS);
      end = () => {
        if (ended) return;
        ended = true;
        count(who, -1);
        clearInterval(beat);
        leave();
        try {
          controller.close();
        } catch {
          // The page has gone already.
        }
      };
      request.signal.addEventListener("abort", end);
      void tellLatest();
    },
    cancel: () => end(),
  });
  return new Response(stream, {
    // Nobody on the way may gather it up and pass it on in one piece.
    headers: {
      "content-type": "text/event-stream",
      "cache-control": "no-store, no-transform",
      "x-accel-buffering": "no",
    },
  });
}
