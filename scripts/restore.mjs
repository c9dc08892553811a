// `npm run restore -- FILE`: brings a backup, or any file of a collection, into the collection that it is of.
import path from "node:path";
import { Stop } from "./lib/process.mjs";
import { withDatabase } from "./lib/withDatabase.mjs";

withDatabase("scripts/restoreFile.ts", () => {
  const file = process.argv[2];
  if (!file) throw new Stop("Name the file: npm run restore -- FILE");
  return [path.resolve(file)];
});
