// `npm run played`: adds a collection of a played keeper whose true numbers are known, to be held against what the ledger learns of them.
import { withDatabase } from "./lib/withDatabase.mjs";

withDatabase("scripts/loadPlayed.ts", process.argv.slice(2));
