// Poisoned files: a collection's own file, bent in one place at a time. What is taken stops no page and no start, and what is refused changes nothing.
import { buffer } from "node:stream/consumers";
import { promisify } from "node:util";
import fc from "fast-check";
import { v7 as uuidv7 } from "uuid";
import yauzl from "yauzl";
import yazl from "yazl";
import { DEMO_ID } from "../../demo/loadDemo";
import { sections } from "../../src/core/record/format/collectionFile";
import { changed, odd, pathsOf } from "./mutations";
import { isAsRebuilt, pagesAnswer, verdict, withTarget } from "./target";

const FILES = Number(process.env["FAULTS_FILES"] ?? 400);
const SEED = 20261202;
const LINES = 3;

/** The entries of a zip, by name. */
async function entriesOf(zip: Buffer): Promise<Map<string, Buffer>> {
  const opened = await promisify<Buffer, yauzl.Options, yauzl.ZipFile>(yauzl.fromBuffer)(zip, { lazyEntries: false });
  const found = new Map<string, Buffer>();
  const reading: Promise<unknown>[] = [];
  opened.on("entry", (entry: yauzl.Entry) => {
    reading.push(
      new Promise<void>((resolve, reject) =>
        opened.openReadStream(entry, (error, stream) => {
          if (error) return reject(error);
          buffer(stream).then((bytes) => resolve(void found.set(entry.fileName, bytes)), reject);
        }),
      ),
    );
  });
  await new Promise((resolve) => opened.once("end", resolve));
  await Promise.all(reading);
  return found;
}

async function zipOf(entries: ReadonlyMap<string, Buffer>): Promise<Buffer> {
  const zip = new yazl.ZipFile();
  for (const [name, bytes] of entries) zip.addBuffer(bytes, name);
  zip.end();
  return buffer(zip.outputStream);
}

await withTarget("wary_faults_imports", async (target) => {
  const { base, query } = target;
  const send = async (file: Buffer) => {
    const headers = { "x-collection": DEMO_ID, origin: base };
    const answer = await fetch(`${base}/settings/data/import`, { method: "POST", headers, body: new Uint8Array(file) });
    const text = await answer.text();
    return { status: answer.status, came: text.includes('"came"'), ours: text.includes("could not be imported") };
  };
  const exported = await fetch(`${base}/settings/data/export`, { headers: { "x-collection": DEMO_ID } });
  const entries = await entriesOf(Buffer.from(await exported.arrayBuffer()));
  const kept = sections.filter(({ entry }) => (entries.get(entry)?.length ?? 0) > 0);
  const head = entries.get("collection.json")!;
  const tables = [...new Set(kept.map(({ table }) => table))];
  const counts = `select concat_ws(' ', ${tables.map((table) => `(select count(*) from ${table})`).join(", ")}) as rows`;

  const bent = fc
    .record({
      section: fc.constantFrom(...kept),
      first: fc.nat(),
      at: fc.nat(),
      to: fc.option(odd, { nil: undefined }),
      how: fc.nat(19),
    })
    .map(({ section, first, at, to, how }) => {
      const lines = entries.get(section.entry)!.toString("utf8").trim().split("\n");
      const begin = first % lines.length;
      // Anew under ids of their own, what is beneath them too, but for some: what is there already would stay as it is.
      const some = lines
        .slice(begin, begin + LINES)
        .map(
          (line) =>
            JSON.parse(line, (key, value: unknown) => (key === "id" && how !== 2 ? uuidv7() : value)) as unknown,
        );
      const paths = pathsOf(some[0]).filter((path) => path.length > 0);
      const told = how === 0 ? some : [changed(some[0], paths[at % paths.length]!, to), ...some.slice(1)];
      const text = told.map((line) => `${JSON.stringify(line) ?? ""}\n`).join("");
      return { section, text: how === 1 ? text.slice(0, at % text.length) : text };
    });
  let wrong = 0;
  let crashed = 0;
  let taken = 0;
  for (const { section, text } of fc.sample(bent, { numRuns: FILES, seed: SEED })) {
    const [before] = await query<{ rows: string }>(counts);
    const parts = new Map([
      ["collection.json", head],
      [section.entry, Buffer.from(text)],
      ["digests.json", Buffer.from("{}")],
    ]);
    const { status, came, ours } = await send(await zipOf(parts));
    if (status >= 500 || ours) {
      crashed++;
      console.log(`crashed (${status}): ${section.entry} ${text.slice(0, 400)}`);
    }
    if (came) taken++;
    else if ((await query<{ rows: string }>(counts))[0]!.rows !== before!.rows) wrong++;
  }
  verdict(
    `${FILES} bent files: ${taken} were sound and taken, ${wrong} refused and written, ${crashed} crashed`,
    wrong === 0 && crashed === 0 && taken > 0,
  );
  const whole = await zipOf(entries);
  const cut = await Promise.all([1, 0.9, 0.5, 0.01].map((part) => send(whole.subarray(0, whole.length * part))));
  verdict(
    "a file cut off is refused, the whole is known",
    cut.every(({ came }, i) => came === (i === 0)),
  );
  verdict("the pages still answer", await pagesAnswer(target));
  await target.killServer();
  verdict("and after a start anew", await pagesAnswer(target));
  verdict("what is derived is what deriving anew gives", await isAsRebuilt(target));
});
