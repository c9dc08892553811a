import Papa from "papaparse";
import { z } from "zod";
import { answered, readUpTo, tooLarge } from "@/app/_parts/server/answer";
import { runCommand } from "@/app/_parts/server/runCommand";
import { id } from "@/core/shared/fields";
import type { Cells } from "@/core/record/format/csvFacts";
import type { ReadingProblem } from "@/core/record/format/csvReadings";
import { databaseUrl } from "@/env";
import { askFor } from "@/jobs/ask";
import type { Context } from "@/operations/shared/context";
import { importReadings } from "@/operations/climate/commands/importReadings";
import type { Outcome } from "@/operations/shared/outcome";

const MOST_BYTES = 8_000_000;
/** So many of the rows that are wrong are told at once. */
const TOLD = 20;
const PATIENCE_MS = 120_000;

const asked = z.object({ placeId: id, text: z.string().max(MOST_BYTES) });

/** Brings a table of readings of a place in; all of it or nothing. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const body = await readUpTo(request.body, MOST_BYTES);
  if (!body) return tooLarge();
  const input = { placeId: (await params).id, text: body.toString("utf8") };
  let refused: readonly ReadingProblem[] = [];
  const bring = async (context: Context, { placeId, text }: z.output<typeof asked>): Promise<Outcome<object>> => {
    const { data } = Papa.parse<Cells>(text.replace(/^\uFEFF/, ""), { header: true, skipEmptyLines: "greedy" });
    const came = await importReadings(context, { placeId, rows: data });
    if (!came.ok || !("refused" in came.value)) return came;
    refused = came.value.refused;
    return { ok: false, problems: [] };
  };
  const collectionId = request.headers.get("x-collection");
  const result = await runCommand(collectionId, "importReadings", asked, bring, input, PATIENCE_MS);
  if (result.ok) await askFor(databaseUrl(), collectionId, "judge", "carry", "carryRest");
  return answered(refused.length > 0 ? { ok: false, problems: inWords(refused) } : result);
}

const messages = {
  not_a_moment: "is not a day or time; write it like 2026-11-24 08:00",
  not_a_number: "is not a number that fits",
  required: "is missing",
} as const;

function inWords(refused: readonly ReadingProblem[]) {
  const first = refused.slice(0, TOLD).map(({ row, column, code }) => ({
    path: `row.${row}`,
    message: `Row ${row}, ${column}: ${messages[code]}.`,
  }));
  const more = refused.length - first.length;
  return more > 0 ? [...first, { path: "", message: `And ${more} more.` }] : first;
}
