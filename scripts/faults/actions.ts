// Broken presses: what forms send by themselves, made up by their shapes and bent. No answer is a crash, and what is refused changes nothing.
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import fc from "fast-check";
import { z } from "zod";
import { changed, odd, pathsOf, shapedAs } from "./mutations";
import { isAsRebuilt, pagesAnswer, verdict, withTarget } from "./target";
import { DEMO_ID } from "../../demo/loadDemo";

const PRESSES = Number(process.env["FAULTS_ACTIONS"] ?? 4000);
const SEED = 20261201;
/** They end what the others are tried on: a first owner shuts everybody out, the demo goes, another collection is opened instead. */
const APART = ["makeOwnerAction", "demoAction", "leaveAction", "beginCollectionAction"];
/** What comes with a collection comes with its id in front; the ways in come with what was said before. */
const SHAPES = ["record/facts/commands", "access/commands", "access/calendarFeeds", "climate/sensors"];

const root = path.resolve(import.meta.dirname, "../..");
const core = path.join(root, "src/core");

/** Every shape that is exported where commands are, by its name. */
async function shapes(): Promise<ReadonlyMap<string, z.ZodType>> {
  const kinds = readdirSync(path.join(core, "record/facts/kinds")).map((file) => `record/facts/kinds/${file}`);
  const files = [...kinds, ...SHAPES.map((file) => `${file}.ts`), "knowledge/household/bottles.ts"];
  const modules = await Promise.all(files.map((file) => import(path.join(core, file)) as Promise<object>));
  return new Map(
    modules.flatMap((exported) =>
      Object.entries(exported).filter((entry): entry is [string, z.ZodType] => entry[1] instanceof z.ZodType),
    ),
  );
}

/** Arguments as the framework sends them: in front of a text that begins with its own sign it puts another. */
const sent = (told: unknown): string =>
  JSON.stringify(told, (_, one: unknown) => (typeof one === "string" && one.startsWith("$") ? `$${one}` : one));
/** Something was thrown; not a page that is not there. */
const THROWN = /"digest":"(?!NEXT_)/;

interface Action {
  readonly id: string;
  readonly name: string;
  readonly page: string;
}

/** What the built application takes, with a page that has it. */
function actions(): readonly Action[] {
  const manifest = JSON.parse(readFileSync(path.join(root, ".next/server/server-reference-manifest.json"), "utf8")) as {
    node: Record<string, { workers: Record<string, unknown>; exportedName: string }>;
  };
  return Object.entries(manifest.node)
    .map(([id, { workers, exportedName }]) => ({ id, name: exportedName, page: Object.keys(workers)[0]! }))
    .filter(({ name }) => !APART.includes(name));
}

await withTarget("wary_faults_actions", async (target) => {
  const { base, query, plantIds } = target;
  const idsOf = async (table: string) => (await query<{ id: string }>(`select id from ${table}`)).map(({ id }) => id);
  const ids = {
    plantId: plantIds,
    placeId: await idsOf("places"),
    caseId: await idsOf("cases"),
    factId: [...(await idsOf("looks")), ...(await idsOf("acts"))],
  };
  const byName = await shapes();
  const all = actions();
  const shaped = all.filter(({ name }) => byName.has(name.replace(/Action$/, "")));
  const pressed = fc.oneof(
    ...all.map((action) => {
      const shape = byName.get(action.name.replace(/Action$/, ""));
      const sound = shape ? shapedAs(z.toJSONSchema(shape, { unrepresentable: "any", io: "input" }), ids) : odd;
      return fc
        .record({ input: sound, at: fc.nat(), to: fc.option(odd, { nil: undefined }), bent: fc.nat(2), more: odd })
        .map(({ input, at, to, bent, more }) => {
          const paths = pathsOf(input);
          const told = bent === 0 ? input : changed(input, paths[at % paths.length]!, to);
          return { action, body: sent(at % 50 === 0 ? [more, told] : [DEMO_ID, told]) };
        });
    }),
  );
  const tables = [
    "looks",
    "finds",
    "acts",
    "cleanings",
    "placements",
    "programmes",
    "closings",
    "reactions",
    "trap_counts",
    "plants",
    "places",
  ];
  const counts = `select concat_ws(' ', ${tables.map((table) => `(select count(*) from ${table})`).join(", ")}) as rows`;
  const taken = new Map<string, number>();
  let crashed = 0;
  let wrong = 0;
  for (const { action, body } of fc.sample(pressed, { numRuns: PRESSES, seed: SEED })) {
    const [before] = await query<{ rows: string }>(counts);
    const page = `/${action.page.replace(/^app\/?/, "").replace(/\/?page$/, "")}`.replace("[id]", plantIds[0]!);
    const headers = { "next-action": action.id, "content-type": "text/plain;charset=UTF-8", origin: base };
    const answer = await fetch(base + page, { method: "POST", headers, body, redirect: "manual" }).catch(() => null);
    const text = (await answer?.text().catch(() => "")) ?? "";
    if (!answer || answer.status >= 500 || THROWN.test(text)) {
      crashed++;
      console.log(`crashed (${answer?.status}): ${action.name} ${body.slice(0, 300)}`);
    }
    if (text.includes('"ok":true')) taken.set(action.name, (taken.get(action.name) ?? 0) + 1);
    else {
      const [after] = await query<{ rows: string }>(counts);
      if (before!.rows !== after!.rows) {
        wrong++;
        console.log(`refused, and written: ${action.name} ${body.slice(0, 300)}`);
      }
    }
  }
  console.log([...taken].map(([name, times]) => `${name} ${times}`).join(", "));
  verdict(
    `${PRESSES} presses of ${all.length} kinds, ${shaped.length} made up by their shapes: ${taken.size} kinds were taken at times, ${wrong} refused and written, ${crashed} crashed`,
    crashed === 0 && wrong === 0 && taken.size > 10,
  );
  verdict("the pages still answer", await pagesAnswer(target));
  await target.killServer();
  verdict("and after a start anew", await pagesAnswer(target));
  verdict("what is derived is what deriving anew gives", await isAsRebuilt(target));
});
