import Papa from "papaparse";
import { z } from "zod";
import { answered, readUpTo, tooLarge } from "@/app/_parts/server/answer";
import { runCommand } from "@/app/_parts/server/runCommand";
import type { Cells } from "@/core/record/format/csvFacts";
import { databaseUrl } from "@/env";
import { askFor } from "@/jobs/ask";
import type { Context } from "@/operations/shared/context";
import type { Outcome } from "@/operations/shared/outcome";
import { importFacts, type RefusedRow } from "@/operations/transfer/importFacts";
import type { CommandResult } from "@/offline/commandResult";
import { problemInWords } from "@/wording/record/problems";
import { rowProblemInWords } from "@/wording/record/rows";

const MOST_BYTES = 20_000_000;
const MOST_ROWS = 20_000;
/** So many of the rows that are wrong are told at once. */
const TOLD = 40;
const PATIENCE_MS = 600_000;

const table = z.string().max(MOST_BYTES);
const tables = z.object({ looks: table, finds: table, acts: table });
type Rows = Readonly<Record<keyof z.output<typeof tables>, readonly Cells[]>>;

/** Brings tables of looks, finds and acts in; all of them or none. */
export async function POST(request: Request): Promise<Response> {
  const body = await readUpTo(request.body, MOST_BYTES);
  if (!body) return tooLarge();
  let input: unknown = null;
  try {
    input = JSON.parse(body.toString("utf8"));
  } catch {
    // What is no JSON holds no tables: the schema says so.
  }
  let refused: readonly RefusedRow[] = [];
  const bring = async (context: Context, texts: z.output<typeof tables>): Promise<Outcome<object>> => {
    const rows = Object.fromEntries(Object.entries(texts).map(([name, text]) => [name, rowsOf(text)])) as Rows;
    if (Object.values(rows).flat().length > MOST_ROWS)
      return { ok: false, problems: [{ path: "", code: "too_many_rows" }] };
    if (Object.values(rows).flat().length === 0) return { ok: false, problems: [{ path: "", code: "no_rows" }] };
    const came = await importFacts(context, rows, () => !request.signal.aborted);
    if (came.ok) return { ok: true, value: came };
    refused = came.refused;
    return { ok: false, problems: [] };
  };
  const collectionId = request.headers.get("x-collection");
  const result = await runCommand(collectionId, "importFacts", tables, bring, input, PATIENCE_MS);
  if (result.ok) await askFor(databaseUrl(), collectionId, "judge", "carry", "carryRest");
  return answered(refused.length > 0 ? { ok: false, problems: inWords(refused) } : result);
}

/** Rows of a table by their headings; separated by commas, semicolons or tabs. */
function rowsOf(text: string): readonly Cells[] {
  return Papa.parse<Cells>(text.replace(/^\uFEFF/, ""), { header: true, skipEmptyLines: "greedy" }).data;
}

function inWords(refused: readonly RefusedRow[]): Extract<CommandResult, { ok: false }>["problems"] {
  const named = refused.slice(0, TOLD).map((one) => {
    const why = "problem" in one ? problemInWords(one.problem) : rowProblemInWords(one);
    return { path: `${one.table}.${one.row}`, message: `${one.table}, row ${one.row}: ${why}` };
  });
  const more = refused.length - named.length;
  return more > 0 ? [...named, { path: "", message: `And ${more} more.` }] : named;
}
