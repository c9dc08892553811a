import { randomUUID } from "node:crypto";
import { createWriteStream } from "node:fs";
import { mkdir, rename, rm } from "node:fs/promises";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import { connect, disconnect } from "@/db/connection";
import { migrate } from "@/db/migrate";
import * as collections from "@/db/stores/collections";
import { contextOf, openCollections, type Context } from "../context";
import { backupsOf, isDue, nameOf, type Backup, type BackupSettings } from "./backups";
import { exportCollection } from "./exportCollection";
import { importCollection, readHead } from "./importCollection";

const FOR_NOBODY = { actor: "backup", role: "owner" } as const;

/** Backs up what is due, or everything; the demo is made up and is left out. Gives the files that were made. */
export async function backUp(
  databaseUrl: string,
  { folder, keep }: BackupSettings,
  now: Date,
  all = false,
): Promise<readonly Backup[]> {
  const made: Backup[] = [];
  for (const collection of (await openCollections(databaseUrl)).filter(({ isDemo }) => !isDemo)) {
    if (!all && !(await isDue(collection, folder, now))) continue;
    await mkdir(folder, { recursive: true, mode: 0o700 });
    const context = contextOf(databaseUrl, collection, { ...FOR_NOBODY, now });
    const name = path.join(folder, nameOf(collection.id, now));
    const unchecked = `${name}.unchecked`;
    try {
      await pipeline(exportCollection(context), createWriteStream(unchecked, { mode: 0o600 }));
      await check(databaseUrl, unchecked, now);
      await rename(unchecked, name);
    } finally {
      await rm(unchecked, { force: true });
    }
    const kept = await backupsOf(collection.id, folder);
    made.push(kept[0]!);
    for (const { file } of kept.slice(keep)) await rm(path.join(folder, file), { force: true });
  }
  return made;
}

/** Restores a file into a database made for it, which goes again: what could not be restored is no backup. */
async function check(databaseUrl: string, file: string, now: Date): Promise<void> {
  const name = `wary_scratch_${randomUUID().replaceAll("-", "")}`;
  const server = connect(databaseUrl);
  await server.query(`create database ${name}`);
  const url = Object.assign(new URL(databaseUrl), { pathname: `/${name}` }).href;
  try {
    await migrate(connect(url));
    await restore(url, file, now);
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
