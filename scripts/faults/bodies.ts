// Broken bodies: nothing that its shape does not allow is ever written, and no answer is a crash.
import fc from "fast-check";
import { sentLater } from "../../src/core/record/facts/sentLater";
import { changed, odd, pathsOf } from "./mutations";
import { press } from "./sent";
import { pagesAnswer, verdict, withTarget } from "./target";

const BODIES = Number(process.env["FAULTS_BODIES"] ?? 10_000);
const SEED = 20261125;

await withTarget("wary_faults_bodies", async (target) => {
  const { send, query } = target;
  const bases = Array.from({ length: 8 }, (_, n) => press(target, n)).flat();
  const mutated = fc
    .record({ of: fc.constantFrom(...bases), at: fc.nat(), to: fc.option(odd, { nil: undefined }), cut: fc.nat(9) })
    .map(({ of, at, to, cut }) => {
      const paths = pathsOf(of);
      const text = JSON.stringify(changed(of, paths[at % paths.length]!, to)) ?? "";
      return cut === 0 ? text.slice(0, at % (text.length + 1)) : text;
    });
  let wrong = 0;
  let crashed = 0;
  let taken = 0;
  const tables = ["looks", "finds", "acts", "cleanings", "timers", "skips", "placements"];
  const counts = tables.map((table) => `(select count(*) from ${table})`);
  // What is struck out, and what has ended, changes a row and adds none.
  const ended =
    "(select count(*) from looks where voided_at is not null), (select count(*) from timers where ended_at is not null)";
  const all = `select concat_ws(' ', ${counts.join(", ")}, ${ended}) as rows`;
  for (const text of fc.sample(mutated, { numRuns: BODIES, seed: SEED })) {
    const [before] = await query<{ rows: string }>(all);
    const answer = await send(text);
    if (!answer || answer.status >= 500) {
      crashed++;
      console.log(`crashed (${answer?.status}): ${text.slice(0, 400)}`);
    }
    if (!answer?.ok) {
      const [after] = await query<{ rows: string }>(all);
      if (before!.rows !== after!.rows) wrong++;
      continue;
    }
    taken++;
    if (!sentLater.safeParse(JSON.parse(text)).success) wrong++;
  }
  verdict(
    `${BODIES} mutated bodies: ${taken} were sound and taken, ${wrong} wrongly written, ${crashed} crashed`,
    wrong === 0 && crashed === 0 && taken > 0,
  );
  verdict("the pages still answer", await pagesAnswer(target));
});
