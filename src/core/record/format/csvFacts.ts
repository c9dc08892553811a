import { z } from "zod";
import { act } from "../../acts/acts";
import { toolIds } from "../../model/inspection/tools";
import { severityIds, severityOf } from "../../model/inspection/severity";
import { pestIds } from "../../knowledge/pests/pests";
import { spotIds } from "../../knowledge/plants/spots";

/** A row of a table with headings: cells by their heading. */
export type Cells = Readonly<Record<string, string | undefined>>;
export type FactTable = "looks" | "finds" | "acts";

/** What the rows are read with: what codes and names mean here, and how moments and ids are made. */
export interface Meaning {
  readonly plantId: (code: string) => string | null;
  readonly placeId: (name: string) => string | null;
  /** The moment, with its offset, that a day with or without a time of its own means; null where it means none. */
  readonly moment: (cell: string) => string | null;
  /** An id that is always the same for the same words; a moment counts as it stands in its cell. */
  readonly idOf: (words: string) => string;
  /** With what was looked where a row does not say. */
  readonly tool: (typeof toolIds)[number];
}

/** What is wrong with a row; `row` is counted from 1, without the headings. */
export interface RowProblem {
  readonly table: FactTable;
  readonly row: number;
  readonly column: string;
  readonly code: "unknown_code" | "not_a_moment" | "not_one_of" | "required" | "not_understood";
  readonly allowed?: readonly string[];
}

export interface ReadFind {
  readonly id: string;
  readonly pest: (typeof pestIds)[number];
  readonly severity: (typeof severityIds)[number];
  readonly count: number | null;
  readonly removed: boolean;
  readonly spots: (typeof spotIds)[number][];
  readonly stages: string[];
}
export interface ReadLook {
  readonly row: { readonly table: FactTable; readonly row: number };
  readonly id: string;
  readonly plantId: string;
  readonly at: string;
  readonly tool: (typeof toolIds)[number];
  /** Empty where no row says: then the likely places of its form. */
  readonly spots: (typeof spotIds)[number][];
  readonly turned: boolean;
  readonly newLeaves: number | null;
  readonly note: string;
  readonly finds: ReadFind[];
}
export interface ReadAct {
  readonly row: { readonly table: FactTable; readonly row: number };
  readonly id: string;
  readonly plantId: string | null;
  readonly placeId: string | null;
  readonly at: string;
  readonly act: z.output<typeof act>;
  readonly note: string;
}
export interface ReadFacts {
  readonly looks: readonly ReadLook[];
  readonly acts: readonly ReadAct[];
  readonly problems: readonly RowProblem[];
  /** Rows that were struck out where they come from, and are left out. */
  readonly struckOut: number;
}

const uuid = z.uuid();
const yes = /^(true|yes|y|1|x)$/i;

/**
 * Looks, finds and acts from the rows of tables, as this application writes them or as somebody kept them elsewhere. A plant is named
 * by its code, a moment by a day with or without a time. A find belongs to the look that it names, else to the look at its plant at
 * its moment, else it makes one. Rows without an id get one that the same row always gets, so that a table comes in once however
 * often it is brought. Rows that were struck out are left out. Everything that is wrong is told at once; nothing throws.
 * @example factsFromRows({ looks: [], finds: [{ plant: "L04", at: "2026-11-20", pest: "mealybug", count: "3" }], acts: [] }, here).looks.length // 1
 */
export function factsFromRows(tables: Readonly<Record<FactTable, readonly Cells[]>>, here: Meaning): ReadFacts {
  const problems: RowProblem[] = [];
  let struckOut = 0;
  const each = <T>(table: FactTable, read: (cell: (name: string) => string, tell: Tell, row: number) => T | null) =>
    tables[table].flatMap((cells, i): T[] => {
      const cell = (name: string) => plainCell(cells[name]);
      if (cell("struckOut") !== "") {
        struckOut++;
        return [];
      }
      const before = problems.length;
      const tell: Tell = (column, code, allowed) =>
        void problems.push({ table, row: i + 1, column, code, ...(allowed && { allowed }) });
      const made = read(cell, tell, i + 1);
      return made === null || problems.length > before ? [] : [made];
    });

  const looks = new Map<string, ReadLook>();
  const byMoment = new Map<string, ReadLook>();
  const keep = (look: ReadLook) => {
    if (looks.has(look.id)) return;
    looks.set(look.id, look);
    byMoment.set(`${look.plantId} ${look.at}`, look);
  };
  each("looks", (cell, tell, row) => lookOf(cell, tell, { table: "looks", row }, here)).forEach(keep);
  each("finds", (cell, tell, row) => {
    const look = lookOf(
      (name) => (name === "id" ? cell("look") : name === "note" || name === "spots" ? "" : cell(name)),
      tell,
      { table: "finds", row },
      here,
    );
    const find = findOf(cell, tell, look, here);
    return look && find && { look, find };
  }).forEach(({ look, find }) => {
    if (!looks.has(look.id) && !byMoment.has(`${look.plantId} ${look.at}`)) keep(look);
    const its = looks.get(look.id) ?? byMoment.get(`${look.plantId} ${look.at}`)!;
    if (!its.finds.some(({ id }) => id === find.id)) its.finds.push(find);
  });
  const acts = new Map(
    each("acts", (cell, tell, row) => actOf(cell, tell, row, tables.acts[row - 1]!, here)).map((one) => [one.id, one]),
  );
  return { looks: [...looks.values()], acts: [...acts.values()], problems, struckOut };
}

type Tell = (column: string, code: RowProblem["code"], allowed?: readonly string[]) => void;
type Cell = (name: string) => string;

/** A cell as it was meant: what kept a spreadsheet from taking it for a formula is none of it. */
function plainCell(cell: string | undefined): string {
  return (cell ?? "").trim().replace(/^'(?=[=+\-@])/, "");
}

function lookOf(cell: Cell, tell: Tell, row: ReadLook["row"], here: Meaning): ReadLook | null {
  const plantId = named(cell, "plant", tell, here.plantId);
  const at = momentOf(cell, tell, here);
  const tool = oneOf(cell, "tool", toolIds, tell, here.tool);
  const spots = someOf(cell, "spots", spotIds, tell);
  const newLeaves = wholeOf(cell, "newLeaves", tell);
  if (!plantId || !at || !tool || !spots || newLeaves === undefined) return null;
  const note = cell("note");
  const turned = cell("turned") === "" || yes.test(cell("turned"));
  const id = idOf(cell, `look ${plantId} ${cell("at")} ${tool} ${note}`, here);
  return { row, id, plantId, at, tool, spots, turned, newLeaves, note, finds: [] };
}

function findOf(cell: Cell, tell: Tell, look: ReadLook | null, here: Meaning): ReadFind | null {
  const pest = oneOf(cell, "pest", pestIds, tell, null);
  const count = wholeOf(cell, "count", tell);
  const severity = count ? severityOf(count) : oneOf(cell, "severity", severityIds, tell, null);
  const spots = someOf(cell, "spots", spotIds, tell);
  if (!pest || count === undefined || !severity || !spots || !look) return null;
  const stages = words(cell("stages"));
  const id = idOf(cell, `find ${look.plantId} ${cell("at")} ${pest}`, here);
  return { id, pest, severity, count, removed: yes.test(cell("removed")), spots, stages };
}

/** Columns of an act that are no part of what was done. */
const besideAct = new Set(["id", "plant", "place", "note", "at", "recordedBy", "struckOut"]);

function actOf(cell: Cell, tell: Tell, row: number, cells: Cells, here: Meaning): ReadAct | null {
  const onPlace = cell("plant") === "" && cell("place") !== "";
  const subject = onPlace ? named(cell, "place", tell, here.placeId) : named(cell, "plant", tell, here.plantId);
  const at = momentOf(cell, tell, here);
  const filledIn = Object.keys(cells).filter((name) => !besideAct.has(name) && cell(name) !== "");
  const given = Object.fromEntries(filledIn.map((name) => [name, typed(cell(name))]));
  // What a kind asks for and no cell says is nothing; a list of one word reads as a word.
  const first = act.safeParse(given);
  const lists = first.success
    ? {}
    : Object.fromEntries(
        first.error.issues
          .filter((issue) => issue.code === "invalid_type" && issue.expected === "array")
          .map(({ path }) => [path[0], words(cell(String(path[0])))]),
      );
  const nothing = first.success
    ? {}
    : Object.fromEntries(
        first.error.issues
          .filter(({ path }) => path.length === 1 && given[String(path[0])] === undefined)
          .map(({ path }) => [path[0], null]),
      );
  const read = first.success ? first : act.safeParse({ ...given, ...nothing, ...lists });
  if (!read.success) {
    const { path } = read.error.issues[0]!;
    tell(String(path[0] ?? "kind"), "not_understood");
  }
  if (!subject || !at || !read.success) return null;
  const words_ = filledIn.map((name) => `${name}=${cell(name)}`).join(" ");
  return {
    row: { table: "acts", row },
    id: idOf(cell, `act ${subject} ${cell("at")} ${words_}`, here),
    ...{ plantId: onPlace ? null : subject, placeId: onPlace ? subject : null },
    ...{ at, act: read.data, note: cell("note") },
  };
}

const idOf = (cell: Cell, otherwise: string, here: Meaning): string => {
  const id = cell("id").toLowerCase();
  return uuid.safeParse(id).success ? id : here.idOf(id === "" ? otherwise : `${otherwise} ${id}`);
};

const words = (cell: string): string[] => cell.split(/[\s,;]+/).filter((word) => word !== "");

function typed(cell: string): unknown {
  if (/^-?\d+(\.\d+)?$/.test(cell)) return Number(cell);
  if (cell === "true" || cell === "false") return cell === "true";
  return cell;
}

function named(cell: Cell, column: string, tell: Tell, idNamed: (name: string) => string | null): string | null {
  if (cell(column) === "") return (tell(column, "required"), null);
  const id = idNamed(cell(column));
  if (!id) tell(column, "unknown_code");
  return id;
}

function momentOf(cell: Cell, tell: Tell, here: Meaning): string | null {
  if (cell("at") === "") return (tell("at", "required"), null);
  const at = here.moment(cell("at"));
  if (!at) tell("at", "not_a_moment");
  return at;
}

function oneOf<T extends string>(
  cell: Cell,
  column: string,
  all: readonly T[],
  tell: Tell,
  otherwise: T | null,
): T | null {
  if (cell(column) === "" && otherwise !== null) return otherwise;
  const found = all.find((one) => one.toLowerCase() === cell(column).toLowerCase());
  if (!found) tell(column, cell(column) === "" ? "required" : "not_one_of", all);
  return found ?? null;
}

function someOf<T extends string>(cell: Cell, column: string, all: readonly T[], tell: Tell): T[] | null {
  const found = words(cell(column)).map((word) => all.find((one) => one.toLowerCase() === word.toLowerCase()));
  if (found.includes(undefined)) tell(column, "not_one_of", all);
  return found.includes(undefined) ? null : [...new Set(found as T[])];
}

/** A whole number of 1 or more, null where there is none, undefined for what is none. */
function wholeOf(cell: Cell, column: string, tell: Tell): number | null | undefined {
  if (cell(column) === "") return null;
  const number = Number(cell(column));
  if (Number.isInteger(number) && number >= 1 && number <= 100_000) return number;
  tell(column, "not_understood");
  return undefined;
}
