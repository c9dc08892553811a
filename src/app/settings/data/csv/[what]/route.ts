import { csvAnswer } from "@/app/_parts/server/answer";
import { currentContext } from "@/app/_parts/server/context";
import { csvTables, readCsvRows } from "@/operations/transfer/csv";

/** A table of the collection. */
export async function GET(_request: Request, { params }: { params: Promise<{ what: string }> }): Promise<Response> {
  const { what } = await params;
  const table = csvTables.find((one) => `${one}.csv` === what);
  if (!table) return new Response("There is no such table.\n", { status: 404 });
  const rows = await readCsvRows(await currentContext(), table);
  // Of different acts the first alone would not name every column.
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))];
  return csvAnswer(rows, columns, what);
}
