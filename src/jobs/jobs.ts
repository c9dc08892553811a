import PQueue from "p-queue";
import { fenced, type TroubledWork } from "@/operations/shared/fence";
import { deriveStale } from "@/operations/plants/commands/deriveStale";
import { contextOf, openCollections, type Context } from "@/operations/shared/context";
import { judgeStale } from "@/operations/cases/commands/judgeStale";
import { reckonCarriage } from "@/operations/plants/commands/reckonCarriage";
import { backUp } from "@/operations/transfer/backUp";
import type { BackupSettings } from "@/operations/transfer/backups";
import { senseClimate } from "@/operations/climate/commands/senseClimate";
import { takePart, type Work } from "./queue";
import { reckoners } from "./reckoners";

/** Devices of so many collections are asked at once: most of the time is spent waiting for them. */
const SENSED_AT_ONCE = 8;

/** The name under which jobs write. They derive and reckon; no fact is theirs. */
const ACTOR = "jobs";

/**
 * What runs by itself: deriving what a change has touched, and judging what is out of date and what plants may carry, the
 * calendar's turn included, first of those that a command has touched and later of the rest; asking the devices that tell the air; and the night's backup.
 */
function jobsOf(url: string, now: () => Date, backups: BackupSettings | null) {
  const inEvery =
    (name: TroubledWork, work: (context: Context, more: () => boolean) => Promise<unknown>, atOnce = 1): Work =>
    async (more, collectionId) => {
      const queue = new PQueue({ concurrency: atOnce });
      const all = await openCollections(url);
      // One collection that fails, or that is slow, holds back no other.
      for (const collection of all.filter(({ id }) => collectionId === null || id === collectionId))
        void queue.add(async () => {
          const context = contextOf(url, collection, { actor: ACTOR, role: "owner", now: now() });
          if (more()) await fenced(context, name, () => work(context, more));
        });
      await queue.onIdle();
    };
  const { reckonAll } = reckoners();
  return {
    derive: inEvery("derive", deriveStale),
    judge: inEvery("judge", judgeStale),
    carry: inEvery("carry", (context, more) => reckonCarriage(context, more, reckonAll, "touched")),
    carryRest: inEvery("carry", (context, more) => reckonCarriage(context, more, reckonAll)),
    sense: inEvery("sense", (context, more) => senseClimate(context, more), SENSED_AT_ONCE),
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
