import { v5 as uuidv5 } from "uuid";
import { casesOf } from "@/core/case/cases";
import { priorsFor, USUAL_C } from "@/core/diagnosis/priors";
import type { Act } from "@/core/acts/acts";
import { moment } from "@/core/fields";
import { recordLook as lookShape } from "@/core/facts/kinds/look";
import { usualTool } from "@/core/facts/settings";
import {
  factsFromRows,
  type Cells,
  type FactTable,
  type ReadAct,
  type ReadLook,
  type RowProblem,
} from "@/core/format/csvFacts";
import { placesOfRound } from "@/core/walk/places";
import type { GrowthFormId } from "@/core/plants/growthForms";
import * as facts from "@/db/stores/facts";
import * as places from "@/db/stores/places";
import * as plants from "@/db/stores/plants";
import { dayIn, instantOf, withOffset } from "@/zones";
import { scopeOf, type Context } from "../context";
import { inBatch, type Problem } from "../outcome";
import { recordAct } from "../recordAct";
import { recordLook } from "../recordLook";

/** A row that could not be taken, and why: what is wrong in the row itself, or what the record has against it. */
export type RefusedRow = RowProblem | { readonly table: FactTable; readonly row: number; readonly problem: Problem };

export type FactsImported =
  | { readonly ok: true; readonly added: number; readonly known: number; readonly struckOut: number }
  | { readonly ok: false; readonly refused: readonly RefusedRow[] };

/** Leaves the transaction with nothing written. */
class Refused extends Error {
  constructor(readonly refused: readonly RefusedRow[]) {
    super("rows were refused");
  }
}

/** Under which names ids of rows without one are made. */
const NAMESPACE = "5f4f2a52-1d0c-4d8e-9a55-0d6a1b1c7a10";
const DAY = /^\d{4}-\d{2}-\d{2}$/;
const WALL = /^(\d{4}-\d{2}-\d{2})[ T](\d{2}:\d{2})(?::\d{2})?$/;
/** A day without a time of its own means its noon, or now where that is still to come. */
const NOON = "T12:00";

/** The moment that a cell means: an instant, or what the clock of the collection's zone shows. */
export function momentIn(
  cell: string,
  { collection: { timeZone }, now }: Pick<Context, "collection" | "now">,
): string | null {
  const wall = WALL.exec(cell);
  const text = DAY.test(cell) ? `${cell}${NOON}` : wall ? `${wall[1]}T${wall[2]}` : null;
  if (!text || Number.isNaN(Date.parse(`${text}Z`))) return moment.safeParse(cell).success ? cell : null;
  const at = instantOf(text, timeZone);
  const early = DAY.test(cell) && at > now && dayIn(at, timeZone) === dayIn(now, timeZone);
  const told = withOffset(early ? now : at, timeZone);
  return moment.safeParse(told).success ? told : null;
}

/**
 * Brings looks, finds and acts from tables into the record, in the order in which they happened: all of them or, where anything is
 * wrong with one, none, with everything that is wrong. Each goes the way it would have gone by hand. Twice is once.
 */
export async function importFacts(
  context: Context,
  tables: Readonly<Record<FactTable, readonly Cells[]>>,
): Promise<FactsImported> {
  const scope = scopeOf(context, "record");
  const known = await plants.every(scope);
  const byCode = new Map(known.map((plant) => [plant.code.toLowerCase(), plant]));
  const byId = new Map(known.map((plant) => [plant.id, plant]));
  const placeIds = new Map((await places.all(scope)).map(({ id, name }) => [name.toLowerCase(), id]));
  const read = factsFromRows(tables, {
    plantId: (code) => byCode.get(code.toLowerCase())?.id ?? null,
    placeId: (name) => placeIds.get(name.toLowerCase()) ?? null,
    moment: (cell) => momentIn(cell, context),
    idOf: (words) => uuidv5(`${context.collection.id} ${words}`, NAMESPACE),
    tool: usualTool(context.collection.owns),
  });
  if (read.problems.length > 0) return { ok: false, refused: read.problems };
  const all = [...read.looks, ...read.acts].toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  try {
    const came = await context.sequelize.transaction((transaction) =>
      inBatch(context, transaction, async (batch) => {
        const refused: RefusedRow[] = [];
        let [added, before] = [0, 0];
        for (const one of all) {
          const kind = "act" in one ? "act" : "look";
          const there = await facts.isRecorded(scopeOf(batch, "record"), kind, one.id);
          const outcome =
            "act" in one ? await putAct(batch, one) : await putLook(batch, one, byId.get(one.plantId)!.growthForm);
          if (!outcome.ok) refused.push(...outcome.problems.map((problem) => ({ ...one.row, problem })));
          else if (there) before++;
          else added++;
        }
        if (refused.length > 0) throw new Refused(refused);
        return { added, known: before };
      }),
    );
    return { ok: true, ...came, struckOut: read.struckOut };
  } catch (error) {
    if (error instanceof Refused) return { ok: false, refused: error.refused };
    throw error;
  }
}

async function putLook(context: Context, { row: _row, ...look }: ReadLook, form: GrowthFormId) {
  const usual = placesOfRound(form, priorsFor({ form, meanC: USUAL_C, season: "spring", nearby: {} }), "likely");
  const finds = look.finds.map((find) => ({ ...find, caseId: uuidv5(find.id, NAMESPACE) }));
  const deed = lookShape.parse({ ...look, finds, spots: look.spots.length > 0 ? look.spots : usual, longAgo: true });
  const recorded = await facts.find(scopeOf(context, "record"), "look", look.id);
  const missing = recorded && look.finds.some(({ id }) => !recorded.finds.some((find) => find.id === id));
  if (missing) return { ok: false, problems: [{ path: "finds", code: "look_without_it" }] } as const;
  return recordLook(context, deed);
}

async function putAct(context: Context, { row: _row, ...read }: ReadAct) {
  const at = new Date(read.at);
  const caseId = read.plantId && (await caseOpenThen(context, read.plantId, at, read.act));
  return recordAct(context, { ...read, at, caseId, stepId: null, alreadyDone: true, longAgo: true });
}

/** The case that was open then, if it is only one: what was done against which of several is not known. */
async function caseOpenThen(context: Context, plantId: string, at: Date, { kind }: Act): Promise<string | null> {
  if (kind === "culture") return null;
  const scope = scopeOf(context, "record");
  const cases = casesOf(
    await facts.of(scope, "look", "plantId", [plantId]),
    await facts.of(scope, "closing", "plantId", [plantId]),
  );
  const open = cases.filter(({ openedAt, closing }) => openedAt <= at && (!closing || closing.at > at));
  return open.length === 1 ? open[0]!.id : null;
}
