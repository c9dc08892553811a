import { z } from "zod";

const schema = z.object({ DATABASE_URL: z.url({ protocol: /^postgres(ql)?$/ }) });

/** The only reader of the environment. Throws a sentence a keeper can act on when something is missing. */
export function databaseUrl(): string {
  const parsed = schema.safeParse(process.env);
  if (!parsed.success)
    throw new Error("DATABASE_URL must be set to a postgres:// address; `npm start` does so by itself.");
  return parsed.data.DATABASE_URL;
}

/** Where backups go and how many of each collection are kept; null where none are to be made. */
export function backupSettings(): { readonly folder: string; readonly keep: number } | null {
  const folder = process.env["BACKUP_FOLDER"] || ".data/backups";
  const keep = Number(process.env["BACKUPS_KEPT"] ?? 14);
  if (folder === "none") return null;
  if (!Number.isInteger(keep) || keep < 1) throw new Error("BACKUPS_KEPT is a whole number from 1 on.");
  return { folder, keep };
}
