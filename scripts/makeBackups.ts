// Backs every collection up and says what was made.
import { now } from "../src/clock";
import { disconnect } from "../src/db/connection";
import { backupSettings, databaseUrl } from "../src/env";
import { backUp } from "../src/operations/transfer/backUp";

const settings = backupSettings();
if (!settings) throw new Error("BACKUP_FOLDER is “none”: name a folder.");
const made = await backUp(databaseUrl(), settings, now(), true);
for (const { file, bytes } of made)
  console.log(`${settings.folder}/${file}  ${Math.ceil(bytes / 1024)} kB, restored and found whole`);
if (made.length === 0) console.log("There is no collection but the demo, which is made up.");
await disconnect(databaseUrl());
