import { genusIn } from "./genusIn";
import { growthFormIds, type GrowthFormId } from "./growthForms";

/** A plant as a list from outside names it; what the list does not say is empty. */
export interface ListedPlant {
  readonly code: string;
  readonly name: string;
  readonly genus: string;
  /** As the list says it, or as the genus is usually grown; null where neither says. */
  readonly growthForm: GrowthFormId | null;
  readonly potCm: string;
  readonly acquiredOn: string;
  readonly seller: string;
  readonly place: string;
}

export interface PlantList {
  readonly plants: readonly ListedPlant[];
  /** Columns with a heading that means nothing here. */
  readonly ignored: readonly string[];
}

type Column = keyof ListedPlant;

/** What a column may be headed, in small letters and without anything else. */
const headings: Readonly<Record<Column, readonly string[]>> = {
  code: ["code", "label", "number", "no", "id"],
  name: ["name", "plant", "species"],
  genus: ["genus"],
  growthForm: ["growthform", "form"],
  potCm: ["potcm", "pot", "potwidth", "potwidthcm", "potsize"],
  acquiredOn: ["acquiredon", "acquired", "since", "bought"],
  seller: ["seller", "from", "source"],
  place: ["place", "shelf", "room", "where"],
};
const columns = Object.keys(headings) as Column[];
/** The order of columns in a list without headings that has several. */
const usualOrder: readonly Column[] = ["code", "name", "genus", "potCm"];

const bare = (text: string) => text.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, "");
const formsByName = new Map(growthFormIds.map((id) => [id.toLowerCase(), id]));

/**
 * Plants from a list as people keep them: rows of cells, with a first row of headings or without. Headings are taken by their
 * usual words, in any order. Without any, one column holds names, several are code, name, genus and pot. A genus that is not
 * said is the one that the name means, botanical or common; the growth form follows from it. Rows without a single
 * cell filled are left out. Nothing is judged here: what is wrong with a row is told where it is read.
 * @example plantsFromRows([["Monstera deliciosa"]]).plants[0].growthForm // "climbingAroid"
 */
export function plantsFromRows(rows: readonly (readonly string[])[]): PlantList {
  const filled = rows.map((row) => row.map((cell) => cell.trim())).filter((row) => row.some((cell) => cell !== ""));
  const first = filled[0]?.map((cell) => columns.find((column) => headings[column].includes(bare(cell))) ?? null) ?? [];
  const headed = first.includes("name") || first.filter((column) => column !== null).length > 1;
  const width = Math.max(0, ...filled.map((row) => row.length));
  const order = headed ? first : width === 1 ? (["name"] as const) : usualOrder;
  return {
    plants: (headed ? filled.slice(1) : filled).map((row) => plantOf(row, order)),
    ignored: headed ? filled[0]!.filter((cell, i) => cell !== "" && first[i] === null) : [],
  };
}

function plantOf(row: readonly string[], order: readonly (Column | null)[]): ListedPlant {
  const cell = (column: Column) => row[order.indexOf(column)] ?? "";
  const [genusSaid, name] = [cell("genus"), cell("name")];
  const genus = genusSaid || (genusIn(name)?.name ?? "");
  return {
    code: cell("code"),
    name: name || genusSaid,
    genus,
    growthForm: formsByName.get(bare(cell("growthForm"))) ?? genusIn(genus)?.form ?? null,
    potCm: cell("potCm").replace(/\s*cm$/i, ""),
    acquiredOn: cell("acquiredOn"),
    seller: cell("seller"),
    place: cell("place"),
  };
}
