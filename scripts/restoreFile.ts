// Brings a file into the collection that it is of.
import { now } from "../src/clock";
import { disconnect } from "../src/db/connection";
import { databaseUrl } from "../src/env";
import { deriveStale } from "../src/operations/plants/commands/deriveStale";
import { restore } from "../src/operations/transfer/backUp";

const file = process.argv[2]!;
try {
  const context = await restore(databaseUrl(), file, now());
  await deriveStale(context);
  console.log(`${context.collection.name} is as it is in ${file}, with what it had besides.`);
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
}
await disconnect(databaseUrl());
