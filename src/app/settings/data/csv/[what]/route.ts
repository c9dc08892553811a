import Papa from "papaparse";
import { currentContext } from "@/app/_parts/context";
import { csvTables, readCsvRows } from "@/operations/transfer/csv";

/** A table as RFC 4180 writes it; a spreadsheet takes nothing in it for a formula. */
export async function GET(_request: Request, { params }: { params: Promise<{ what: string }> }): Promise<Response> {
  const { what } = await params;
  const table = csvTables.find((one) => `${one}.csv` === what);
  if (!table) return new Response("There is no such table.\n", { status: 404 });
  const rows = await readCsvRows(await currentContext(), table);
  // Of different acts the first alone would not name every column.
  const columns = [...new Set(rows.flatMap((row) => Object.keys(row)))];
  const text = Papa.unparse(rows as object[], { columns, newline: "\r\n", escapeFormulae: true });
  return new Response(`${text}\r\n`, {
    headers: {
      "content-type": "text/csv; charset=utf-8; header=present",
      "cache-control": "private, no-store",
      "content-disposition": `attachment; filename="${what}"`,
    },
  });
}
