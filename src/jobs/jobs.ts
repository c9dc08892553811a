import { deriveStale } from "@/operations/deriveStale";
import { contextOf, openCollections, type Context } from "@/operations/context";
import { judgeStale } from "@/operations/judgeStale";
import { reckonCarriage } from "@/operations/reckonCarriage";
import { backUp } from "@/operations/transfer/backUp";
import type { BackupSettings } from "@/operations/transfer/backups";
import { senseClimate } from "@/operations/senseClimate";
import { takePart, type Work } from "./queue";
import { reckoners } from "./reckoners";

/** The name under which jobs write. They derive and reckon; no fact is theirs. */
const ACTOR = "jobs";

/**
 * What runs by itself: deriving what a change has touched, and judging what is out of date and what plants may carry, the
 * calendar's turn included; asking the devices that tell the air; and the night's backup.
 */
function jobsOf(url: string, now: () => Date, backups: BackupSettings | null) {
  const inEvery =
    (work: (context: Context, more: () => boolean) => Promise<unknown>): Work =>
    async (more, collectionId) => {
      for (const collection of await openCollections(url)) {
        if (collectionId !== null && collection.id !== collectionId) continue;
        if (!more()) return;
        await work(contextOf(url, collection, { actor: ACTOR, role: "owner", now: now() }), more);
      }
    };
  const { reckonAll } = reckoners();
  return {
    derive: inEvery(deriveStale),
    judge: inEvery(judgeStale),
    carry: inEvery((context, more) => reckonCarriage(context, more, reckonAll)),
    sense: inEvery((context, more) => senseClimate(context, more)),
    backup: async () => {
      if (backups) await backUp(url, backups, now());
    },
  } satisfies Record<string, Work>;
}

export type JobId = keyof ReturnType<typeof jobsOf>;

/** Takes part in all jobs of a database. `now` is the clock; without `backups` none are made. */
export function takePartInJobs(url: string, now: () => Date, backups: BackupSettings | null): Promise<void> {
  return takePart(url, jobsOf(url, now, backups));
}
