import { randomUUID } from "node:crypto";
import { createWriteStream } from "node:fs";
import { mkdir, rename, rm } from "node:fs/promises";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import { connect, disconnect } from "@/db/connection";
import { migrate } from "@/db/migrate";
import * as accounts from "@/db/stores/access/accounts";
import * as collections from "@/db/stores/collections";
import { contextOf, openCollections, type Context } from "../shared/context";
import { fenced } from "../shared/fence";
import { backupsOf, isDue, nameOf, type Backup, type BackupSettings } from "./backups";
import { exportCollection } from "./exportCollection";
import { importCollection, readHead } from "./importCollection";

const FOR_NOBODY = { actor: "backup", role: "owner" } as const;

/**
 * Backs up what is due, or everything; the demo is made up and is left out. Gives the files that were made. Of what is due by itself,
 * one that cannot be made keeps no other from being made.
 */
export async function backUp(
  databaseUrl: string,
  settings: BackupSettings,
  now: Date,
  all = false,
): Promise<readonly Backup[]> {
  const own = (await openCollections(databaseUrl)).filter(({ isDemo }) => !isDemo);
  const made: Backup[] = [];
  for (const collection of own) {
    if (!all && !(await isDue(collection, settings.folder, now))) continue;
    const context = contextOf(databaseUrl, collection, { ...FOR_NOBODY, now });
    const one = async () => {
      await mkdir(settings.folder, { recursive: true, mode: 0o700 });
      return withScratch(databaseUrl, (scratchUrl) => backUpOne(context, scratchUrl, settings));
    };
    // What fails by itself is tried again later and later; whoever asks for it by hand is told at once.
    const backup = all ? await one() : await fenced(context, "backup", one);
    if (backup) made.push(backup);
  }
  return made;
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

/**
 * Brings a file into the collection that it is of. Where that is not there it is made, and belongs to whoever owns the installation;
 * a file that is not whole makes nothing.
 */
export async function restore(databaseUrl: string, file: string, now: Date): Promise<Context> {
  const { head } = await readHead(file);
  const sequelize = connect(databaseUrl);
  const collection = { ...head.collection, isDemo: false };
  return sequelize.transaction(async (transaction) => {
    const asks = { sequelize, transaction, collectionId: collection.id };
    if (!(await collections.find(asks, collection.id))) {
      await collections.add(asks, collection, now);
      await accounts.giveToOwners(asks, collection.id);
    }
    const there = (await collections.find(asks, collection.id))!;
    const context = contextOf(databaseUrl, there, { ...FOR_NOBODY, now });
    await importCollection({ ...context, batch: { transaction, touched: new Set() } }, file);
    return context;
  });
}
