import { randomUUID } from "node:crypto";
import { createWriteStream } from "node:fs";
import { mkdir, rename, rm } from "node:fs/promises";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import { connect, disconnect } from "@/db/connection";
import { migrate } from "@/db/migrate";
import * as collections from "@/db/stores/collections";
import { contextOf, openCollections, type Collection, type Context } from "../context";
import { backupsOf, isDue, nameOf, type Backup, type BackupSettings } from "./backups";
import { exportCollection } from "./exportCollection";
import { importCollection, readHead } from "./importCollection";

const FOR_NOBODY = { actor: "backup", role: "owner" } as const;

/**
 * Backs up what is due, or everything; the demo is made up and is left out. Gives the files that were made. One that cannot be made
 * keeps no other from being made: it is told at the end.
 */
export async function backUp(
  databaseUrl: string,
  settings: BackupSettings,
  now: Date,
  all = false,
): Promise<readonly Backup[]> {
  const own = (await openCollections(databaseUrl)).filter(({ isDemo }) => !isDemo);
  const due: Collection[] = [];
  for (const collection of own) if (all || (await isDue(collection, settings.folder, now))) due.push(collection);
  if (due.length === 0) return [];
  await mkdir(settings.folder, { recursive: true, mode: 0o700 });
  return withScratch(databaseUrl, async (scratchUrl) => {
    const made: Backup[] = [];
    const failed: unknown[] = [];
    for (const collection of due) {
      const context = contextOf(databaseUrl, collection, { ...FOR_NOBODY, now });
      await backUpOne(context, scratchUrl, settings).then(
        (backup) => made.push(backup),
        (error: unknown) => failed.push(error),
      );
    }
    if (failed.length > 0) throw new AggregateError(failed, "Not every collection could be backed up.");
    return made;
  });
}

async function backUpOne(context: Context, scratchUrl: string, { folder, keep }: BackupSettings): Promise<Backup> {
  const { collection, now } = context;
  const name = path.join(folder, nameOf(collection.id, now));
  const unchecked = `${name}.unchecked`;
  try {
    await pipeline(exportCollection(context), createWriteStream(unchecked, { mode: 0o600 }));
    // What could not be restored is no backup.
    await restore(scratchUrl, unchecked, now);
    await rename(unchecked, name);
  } finally {
    await rm(unchecked, { force: true });
  }
  const kept = await backupsOf(collection.id, folder);
  for (const { file } of kept.slice(keep)) await rm(path.join(folder, file), { force: true });
  return kept[0]!;
}

/** A database made to restore into, which goes again. */
async function withScratch<T>(databaseUrl: string, work: (scratchUrl: string) => Promise<T>): Promise<T> {
  const name = `wary_scratch_${randomUUID().replaceAll("-", "")}`;
  const server = connect(databaseUrl);
  await server.query(`create database ${name}`);
  const url = Object.assign(new URL(databaseUrl), { pathname: `/${name}` }).href;
  try {
    await migrate(connect(url));
    return await work(url);
  } finally {
    await disconnect(url);
    await server.query(`drop database if exists ${name} with (force)`);
  }
}

/** Brings a file into the collection that it is of, which is made where it is not there. */
export async function restore(databaseUrl: string, file: string, now: Date): Promise<Context> {
  const { head } = await readHead(file);
  const sequelize = connect(databaseUrl);
  const collection = { ...head.collection, isDemo: false };
  if (!(await collections.find(sequelize, collection.id))) await collections.add(sequelize, collection, now);
  const there = (await collections.find(sequelize, collection.id))!;
  const context = contextOf(databaseUrl, there, { ...FOR_NOBODY, now });
  await importCollection(context, file);
  return context;
}
