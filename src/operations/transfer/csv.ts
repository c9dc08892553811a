import { sections } from "@/core/record/format/collectionFile";
import * as transfer from "@/db/stores/record/transfer";
import { scopeOf, type Context } from "../shared/context";

export const csvTables = ["plants", "looks", "finds", "acts"] as const;
export type CsvTable = (typeof csvTables)[number];

export type CsvRow = Readonly<Record<string, string | number | boolean | null>>;

const sectionOf = (entry: string) => sections.find((one) => one.entry === entry)!;

/**
 * The rows of a table as spreadsheets want them: one line each, lists put together by spaces, plants and places by their codes and
 * names. Moments are instants, as ISO 8601 writes them. What was struck out says why.
 */
export async function readCsvRows(context: Context, table: CsvTable): Promise<CsvRow[]> {
  const scope = scopeOf(context, "read");
  const all = async (entry: string) => {
    const lines: Record<string, unknown>[] = [];
    for await (const line of transfer.linesOf(scope, sectionOf(entry))) lines.push(line);
    return lines;
  };
  const plants = await all("plants.jsonl");
  const codes = new Map(plants.map(({ id, code }) => [id, code]));
  const places = new Map((await all("places.jsonl")).map(({ id, name }) => [id, name]));
  const plant = (id: unknown) => plain(codes.get(id) ?? null);
  const fact = (line: Record<string, unknown>) => ({
    at: plain(line["at"]),
    recordedBy: plain(line["recordedBy"]),
    struckOut: plain(line["voidReason"]),
  });
  if (table === "plants") {
    const stood = await all("facts/placement.jsonl");
    const last = new Map(
      stood
        .filter(({ voidReason }) => voidReason === null)
        .toSorted((a, b) => (String(a["at"]) < String(b["at"]) ? -1 : 1))
        .map(({ plantId, placeId }) => [plantId, placeId]),
    );
    return plants.map((line) => ({
      ...Object.fromEntries(Object.entries(line).map(([name, value]) => [name, plain(value)])),
      place: plain(places.get(last.get(line["id"])) ?? null),
    }));
  }
  if (table === "acts")
    return (await all("facts/act.jsonl")).map((line) => {
      const act = line["act"] as Record<string, unknown>;
      const own = Object.fromEntries(Object.entries(act).map(([name, value]) => [name, plain(value)]));
      const where = { plant: plant(line["plantId"]), place: plain(places.get(line["placeId"]) ?? null) };
      return { id: plain(line["id"]), ...where, ...own, note: plain(line["note"]), ...fact(line) };
    });
  const looks = await all("facts/look.jsonl");
  if (table === "looks")
    return looks.map((line) => ({
      ...{
        id: plain(line["id"]),
        plant: plant(line["plantId"]),
        tool: plain(line["tool"]),
        spots: plain(line["spots"]),
      },
      ...{ turned: plain(line["turned"]), newLeaves: plain(line["newLeaves"]), note: plain(line["note"]) },
      finds: (line["finds"] as unknown[]).length,
      ...fact(line),
    }));
  return looks.flatMap((line) =>
    (line["finds"] as Record<string, unknown>[]).map((find) => ({
      ...{ id: plain(find["id"]), look: plain(line["id"]), plant: plant(line["plantId"]), pest: plain(find["pest"]) },
      ...{ severity: plain(find["severity"]), count: plain(find["count"]), removed: plain(find["removed"]) },
      ...{ spots: plain(find["spots"]), stages: plain(find["stages"]), ...fact(line) },
    })),
  );
}

function plain(value: unknown): string | number | boolean | null {
  if (value === null || value === undefined) return null;
  if (typeof value === "number" || typeof value === "boolean" || typeof value === "string") return value;
  return Array.isArray(value) ? value.join(" ") : JSON.stringify(value);
}
