import "server-only";
import Papa from "papaparse";
import type { CommandResult } from "@/offline/commandResult";

/** What a route answers: done; refused with its reasons (422); or trouble of our own, which is worth another try (503). */
export function answered(result: CommandResult): Response {
  return Response.json(result, { status: result.ok ? 200 : result.retry ? 503 : 422 });
}

/** A table as RFC 4180 writes it, under the name of its file; a spreadsheet takes nothing in it for a formula. */
export function csvAnswer(rows: readonly object[], columns: readonly string[], name: string): Response {
  const text = Papa.unparse([...rows], { columns: [...columns], newline: "\r\n", escapeFormulae: true });
  return new Response(`${text}\r\n`, {
    headers: {
      "content-type": "text/csv; charset=utf-8; header=present",
      "cache-control": "private, no-store",
      "content-disposition": `attachment; filename="${name}"`,
    },
  });
}

/** A body that is longer than it may be. */
export const tooLarge = () =>
  Response.json({ ok: false, problems: [{ path: "", message: "It is too large." }] } satisfies CommandResult, {
    status: 413,
  });

/** The bytes of a body, or null where there are more than `most`: what is too long is not read to its end. */
export async function readUpTo(body: ReadableStream<Uint8Array> | null, most: number): Promise<Buffer | null> {
  const chunks: Uint8Array[] = [];
  let length = 0;
  const reader = body?.getReader();
  while (reader) {
    const { done, value } = await reader.read();
    if (done) break;
    chunks.push(value);
    length += value.length;
    if (length > most) {
      await reader.cancel();
      return null;
    }
  }
  return Buffer.concat(chunks);
}
