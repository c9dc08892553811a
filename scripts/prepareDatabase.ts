// Brings the database to the newest version and fills an empty one with the demo collection.
import { loadDemo } from "../demo/loadDemo";
import { now } from "../src/clock";
import { connect, disconnect } from "../src/db/connection";
import { migrate } from "../src/db/migrate";
import * as collections from "../src/db/stores/collections";
import { databaseUrl } from "../src/env";

async function prepare(): Promise<void> {
  const url = databaseUrl();
  const sequelize = connect(url);
  try {
    const applied = await migrate(sequelize);
    if (applied.length > 0) console.log(`Database brought up to date: ${applied.join(", ")}.`);
    if ((await collections.oldest(sequelize)) === null) {
      const counts = await loadDemo(sequelize, now());
      console.log(`Demo collection loaded: ${counts.plants} plants, ${counts.looks} looks, ${counts.cases} cases.`);
    }
  } finally {
    await disconnect(url);
  }
}

prepare().catch((error: unknown) => {
  // One sentence for what the keeper can mend; the cause is in it.
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
});
