import { readdir, stat } from "node:fs/promises";
import path from "node:path";
import { instantOf, wallTimeIn } from "@/zones";
import type { Collection } from "../shared/context";

/** Where backups are kept, and how many of each collection. */
export interface BackupSettings {
  readonly folder: string;
  readonly keep: number;
}

/** One file of a backup that was checked. */
export interface Backup {
  readonly file: string;
  readonly at: Date;
  readonly bytes: number;
}

/** At this hour of the night a day's backup falls due. */
const HOUR = "03:00";
const DAY_MS = 86_400_000;

const prefixOf = (collectionId: string) => `${collectionId}-`;
const stampOf = (at: Date) => at.toISOString().slice(0, 16).replaceAll(/[-:]/g, "");

/** The name of a backup made at a moment. */
export const nameOf = (collectionId: string, at: Date) => `${prefixOf(collectionId)}${stampOf(at)}.zip`;

const SHAPE = /-(\d{4})(\d{2})(\d{2})T(\d{2})(\d{2})\.zip$/;

/** The good backups of a collection, the newest first: a file bears its name only once it has been checked. */
export async function backupsOf(collectionId: string, folder: string): Promise<Backup[]> {
  const names = (await readdir(folder).catch(() => [])).filter(
    (name) => name.startsWith(prefixOf(collectionId)) && SHAPE.test(name),
  );
  const all = await Promise.all(
    names.map(async (name): Promise<Backup[]> => {
      const [, y, m, d, h, min] = SHAPE.exec(name)!;
      const there = await stat(path.join(folder, name)).catch(() => null);
      return there ? [{ file: name, at: new Date(`${y}-${m}-${d}T${h}:${min}:00Z`), bytes: there.size }] : [];
    }),
  );
  return all.flat().toSorted((a, b) => b.at.getTime() - a.at.getTime());
}

/** Whether a collection's last good backup is older than the last night. */
export async function isDue({ id, timeZone }: Collection, folder: string, now: Date): Promise<boolean> {
  const last = (await backupsOf(id, folder))[0];
  if (!last) return true;
  const tonight = instantOf(`${wallTimeIn(now, timeZone).slice(0, 10)}T${HOUR}`, timeZone);
  const night = tonight <= now ? tonight : new Date(tonight.getTime() - DAY_MS);
  return last.at < night;
}

/** A day without a backup may be a night that the machine was off; from so many on it is told. */
const TOLD_FROM_DAYS = 2;

/**
 * How many days old the newest good backup of a collection is, where that is worth telling; null where it is not, or none is to be
 * made. Infinite where there is none although one has been tried.
 */
export async function backupAge(
  { id }: Pick<Collection, "id">,
  settings: BackupSettings | null,
  now: Date,
  hasFailed: boolean,
): Promise<number | null> {
  if (!settings) return null;
  const newest = (await backupsOf(id, settings.folder))[0];
  if (!newest) return hasFailed ? Infinity : null;
  const days = Math.floor((now.getTime() - newest.at.getTime()) / DAY_MS);
  return days >= TOLD_FROM_DAYS ? days : null;
}
