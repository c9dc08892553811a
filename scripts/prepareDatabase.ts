// Brings the database to the newest version and fills an empty one with the demo collection.
import { loadDemo } from "../demo/loadDemo";
import { now } from "../src/clock";
import { prepareAppRole } from "../src/db/appRole";
import { connect, disconnect } from "../src/db/connection";
import { migrate } from "../src/db/migrate";
import { databaseUrl } from "../src/env";
import { isLoopback } from "./lib/listen.mjs";
import { contextOf, openCollections } from "../src/operations/shared/context";
import { atTheDoor } from "../src/operations/access/session";
import { deriveStale } from "../src/operations/plants/commands/deriveStale";
import { fenced } from "../src/operations/shared/fence";
import { judgeStale } from "../src/operations/cases/commands/judgeStale";

async function prepare(): Promise<void> {
  const ownerUrl = databaseUrl();
  const owner = connect(ownerUrl);
  let url = ownerUrl;
  try {
    const applied = await migrate(owner);
    // From here on everything is done as the application does it.
    url = await prepareAppRole(owner, ownerUrl);
    if (applied.length > 0) console.log(`Database brought up to date: ${applied.join(", ")}.`);
    if ((await openCollections(url)).length === 0) {
      const counts = await loadDemo(url, now());
      console.log(`Demo collection loaded: ${counts.plants} plants, ${counts.looks} looks, ${counts.cases} cases.`);
    }
    // Whoever is reached from outside asks who it is: without an owner it would let in the first who comes.
    const host = process.env["HOST"];
    if (host && !isLoopback(host) && (await atTheDoor(url, null, now())).open)
      throw new Error(
        `With HOST=${host} other devices reach this machine, and nobody owns it yet. Start it once without HOST, make an owner under Settings, then start it again.`,
      );
    // What a newer version derives otherwise is derived before anybody looks.
    for (const collection of await openCollections(url)) {
      const context = contextOf(url, collection, { actor: "start", role: "owner", now: now() });
      await fenced(context, "derive", (one) => deriveStale(one));
      if (applied.length > 0) await fenced(context, "judge", (one) => judgeStale(one));
    }
    // For whoever started this: where the application connects.
    console.log(`url ${url}`);
  } finally {
    await disconnect(url);
    await disconnect(ownerUrl);
  }
}

prepare().catch((error: unknown) => {
  // One sentence for what the keeper can mend; the cause is in it.
  console.error(error instanceof Error ? error.message : error);
  process.exitCode = 1;
});
