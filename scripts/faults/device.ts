// Devices for the air that fail, lie, drip and never end. They hold back no other, write no day that nobody would believe, and stop no page.
import { createServer, type ServerResponse } from "node:http";
import { once } from "node:events";
import type { AddressInfo } from "node:net";
import { setTimeout as pause } from "node:timers/promises";
import { v7 as uuidv7 } from "uuid";
import { contextOf, openCollections } from "../../src/operations/shared/context";
import { keepSensor } from "../../src/operations/climate/commands/keepSensor";
import { now } from "../../src/clock";
import { pagesAnswer, verdict, withTarget } from "./target";

const HOUR_MS = 3_600_000;
const HOURS = 72;
/** All are heard, or given up, within so long. */
const PATIENCE_MS = 150_000;

const json = (answer: ServerResponse, value: unknown) =>
  answer.setHeader("content-type", "application/json").end(JSON.stringify(value));
/** Every hour of three days, as the room is, or as `celsius` says. */
const readings = (celsius: (hour: number) => number = (hour) => 20 + 3 * Math.sin(hour / 4), from = 0) =>
  Array.from({ length: HOURS }, (_, hour) => ({
    at: new Date(Date.now() - (HOURS - hour + from) * HOUR_MS).toISOString(),
    celsius: celsius(hour),
    humidity: 50,
  }));

const ways: Readonly<Record<string, (answer: ServerResponse) => void>> = {
  good: (answer) => json(answer, { readings: readings() }),
  silent: () => {},
  drips: (answer) => {
    const drip = setInterval(() => answer.write(" "), 500);
    answer.once("close", () => clearInterval(drip));
  },
  endless: (answer) => {
    const pour = () => {
      while (!answer.destroyed && answer.write("9".repeat(65_536)));
      if (!answer.destroyed) answer.once("drain", pour);
    };
    pour();
  },
  "always more": (answer) => json(answer, { readings: readings(), more: true }),
  "no json": (answer) => answer.end("<html>It works</html>"),
  nonsense: (answer) => json(answer, { readings: [{ at: "yesterday", celsius: "warm" }] }),
  breaks: (answer) => {
    answer.write('{"readings":[');
    answer.destroy();
  },
  refuses: (answer) => answer.writeHead(503).end(),
  elsewhere: (answer) => answer.writeHead(302, { location: "http://192.0.2.1/" }).end(),
  "of the future": (answer) => json(answer, { readings: readings(undefined, -2 * HOURS) }),
  burning: (answer) => json(answer, { readings: readings(() => 4000) }),
  infinite: (answer) => answer.end(JSON.stringify({ readings: readings() }).replaceAll("50", "1e999")),
};

await withTarget("wary_faults_device", async (target) => {
  const { url, query } = target;
  const names = Object.keys(ways);
  const server = createServer((request, answer) => {
    const way = ways[decodeURIComponent(new URL(request.url ?? "/", "http://device").pathname.slice(1))];
    if (way) way(answer);
    else answer.writeHead(404).end();
  });
  server.listen(0, "127.0.0.1");
  await once(server, "listening");
  const { port } = server.address() as AddressInfo;
  const context = contextOf(url, (await openCollections(url))[0]!, { actor: "faults", role: "owner", now: now() });
  const places = await query<{ id: string }>("select id from places where kind in ('room', 'shelf') order by id");
  const placeOf = new Map(names.map((name, i) => [name, places[i % places.length]!.id]));
  await query("delete from sensors");
  for (const name of names) {
    const address = `http://127.0.0.1:${port}/${encodeURIComponent(name)}`;
    const kept = await keepSensor(context, { id: uuidv7(), name, placeId: placeOf.get(name)!, address });
    if (!kept.ok) throw new Error(`${name} is not kept: ${JSON.stringify(kept)}`);
  }
  const begun = Date.now();
  const told = () =>
    query<{ name: string; asked: boolean; heard: boolean; problem: string | null }>(
      "select name, asked_at is not null as asked, heard_at is not null as heard, problem from sensors order by name",
    );
  let good = 0;
  let all = await told();
  while (Date.now() - begun < PATIENCE_MS && all.some(({ asked }) => !asked)) {
    await pause(500);
    all = await told();
    if (good === 0 && all.some(({ name, heard }) => name === "good" && heard)) good = Date.now() - begun;
  }
  for (const { name, heard, problem } of all)
    console.log(`     ${name}: ${heard ? "heard" : (problem ?? "not asked")}`);
  verdict(
    `${names.length} devices, ${names.length - 1} of them broken: all asked within ${((Date.now() - begun) / 1000).toFixed(0)} s, the good one heard after ${(good / 1000).toFixed(0)} s`,
    good > 0 && all.every(({ asked }) => asked),
  );
  const days = await query<{ placeId: string; least: number; most: number }>(
    `select place_id as "placeId", min_c as least, max_c as most from climate_days where source = 'sensor' and recorded_at >= $1`,
    [new Date(begun)],
  );
  verdict(
    `${days.length} days were made, of the good one ${days.filter(({ placeId }) => placeId === placeOf.get("good")).length}; none that cannot be`,
    days.some(({ placeId }) => placeId === placeOf.get("good")) &&
      days.every(({ least, most }) => least > -40 && most < 60),
  );
  verdict("the pages still answer", await pagesAnswer(target));
  server.closeAllConnections();
  server.close();
});
