import "server-only";
import { backupSettings } from "@/env";
import type { Context } from "@/operations/shared/context";
import { readTroubles } from "@/operations/shared/fence";
import { backupAge } from "@/operations/transfer/backups";

/** How old the newest backup is, where it is too old, and why there is no newer one. */
export async function readBackup(context: Context) {
  const trouble = (await readTroubles(context)).find(({ work }) => work === "backup");
  const age = await backupAge(context.collection, backupSettings(), context.now, trouble !== undefined);
  return { age, why: trouble?.why ?? "" };
}
