// `npm run backup`: backs every collection up now, whatever the night does. BACKUP_FOLDER and BACKUPS_KEPT say where and how many.
import { withDatabase } from "./lib/withDatabase.mjs";

withDatabase("scripts/makeBackups.ts", []);
