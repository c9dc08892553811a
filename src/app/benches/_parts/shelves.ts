import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import type { LightId } from "@/core/record/facts/commands";
import type { PlantCard } from "@/core/schedule/state/plantCard";

/** A plant on a shelf, as it is drawn. */
export interface ShelfPlant extends Pick<PlantCard, "id" | "code" | "name" | "state" | "petals" | "apart"> {
  readonly form: GrowthFormId;
  /** What its state alone does not say; left out where it says all. */
  readonly beside?: keyof typeof besides;
  /** The chance that it carries something unseen; null while that is not known. */
  readonly carries: number | null;
}

/** What {@link stateInWords} is told beside the state. */
export const besides = {
  neverLookedAt: { lastLookOn: null },
  signsOpen: { lookDueFor: "unnamed" },
} as const;

export interface Shelf {
  readonly id: string;
  readonly name: string;
  /** "21 °C, 8 plants" */
  readonly summary: string;
  readonly kind: string;
  readonly photoId: string | null;
  readonly light: LightId | null;
  /** Whether its board is drawn at a post: it is known how high it is. */
  readonly posted: boolean;
  /** The place onto which its water drips; null for none. */
  readonly dripsOn: string | null;
  /** How many plants stand there: more than `plants` until those have come. */
  readonly count: number;
  readonly plants: readonly ShelfPlant[];
}

/** A shelf as it travels to the page. */
export type PackedRow =
  Extract<Row, { kind: "room" }> | { readonly kind: "shelf"; readonly id: string; readonly shelf: PackedShelf };

interface PackedShelf extends Omit<Shelf, "plants"> {
  /** Its plants by {@link packPlants}; empty where they come after the page. */
  readonly plants: string;
}

/** Plants of places by their ids, packed. */
export type Standing = Readonly<Record<string, string>>;

/** No code or name has these: whoever typed one gets a space. */
const [FIELD, LINE] = ["\t", "\n"];
const plain = (text: string) => text.replaceAll(/[\t\n]/g, " ");

/** Plants as one text, a line each: thousands of objects would travel ten times as slowly. */
export function packPlants(plants: readonly ShelfPlant[]): string {
  return plants
    .map(({ id, code, name, state, petals, apart, form, carries, beside }) =>
      [id, plain(code), plain(name), state, petals, apart ? 1 : 0, form, carries ?? "", beside ?? ""].join(FIELD),
    )
    .join(LINE);
}

/** Rows whose plants were packed by {@link packPlants}, with what has come after them. */
export function unpackRows(packed: readonly PackedRow[], after: Standing = {}): readonly Row[] {
  return packed.map((row): Row => {
    if (row.kind === "room") return row;
    const plants = row.shelf.plants || (after[row.id] ?? "");
    return { ...row, shelf: { ...row.shelf, plants: plants === "" ? [] : plants.split(LINE).map(unpackPlant) } };
  });
}

/** Whether plants are still to come for some of these rows. */
export const isCut = (packed: readonly PackedRow[]) =>
  packed.some((row) => row.kind === "shelf" && row.shelf.count > 0 && row.shelf.plants === "");

function unpackPlant(line: string): ShelfPlant {
  const [id = "", code = "", name = "", state, petals, apart, form, carries, beside] = line.split(FIELD);
  return {
    ...{
      id,
      code,
      name,
      petals: Number(petals),
      apart: apart === "1",
      carries: carries === "" ? null : Number(carries),
    },
    state: state as ShelfPlant["state"],
    form: form as GrowthFormId,
    ...(beside && { beside: beside as keyof typeof besides }),
  };
}

/** What stands one below the other: a room's name, or one of its shelves. */
export type Row =
  | { readonly kind: "room"; readonly id: string; readonly name: string }
  | { readonly kind: "shelf"; readonly id: string; readonly shelf: Shelf };

/** Where a plant would come to stand: on which shelf, behind which plant or at its front. */
export interface Spot {
  readonly shelfId: string;
  readonly after: string;
}

/** The shelves after a plant was put somewhere. Its own shelf and the other are new, the rest are the same objects. */
export function moved(rows: readonly Row[], plantId: string, { shelfId, after }: Spot): readonly Row[] {
  const plant = rows.flatMap((row) => (row.kind === "shelf" ? row.shelf.plants : [])).find(({ id }) => id === plantId);
  if (!plant) return rows;
  return rows.map((row): Row => {
    if (row.kind !== "shelf") return row;
    const { shelf } = row;
    const stood = shelf.plants.some(({ id }) => id === plantId);
    if (!stood && shelf.id !== shelfId) return row;
    const others = shelf.plants.filter(({ id }) => id !== plantId);
    if (shelf.id !== shelfId) return { ...row, shelf: { ...shelf, plants: others, count: others.length } };
    const at = after === "first" ? 0 : others.findIndex(({ id }) => id === after) + 1;
    return { ...row, shelf: { ...shelf, plants: others.toSpliced(at, 0, plant), count: others.length + 1 } };
  });
}

/** Where a plant would stand that is let go with its middle at a point; null away from all shelves. */
export function spotAt(x: number, y: number, plantId: string): Spot | null {
  const shelf = [...document.querySelectorAll<HTMLElement>("[data-shelf]")].find((one) => {
    const { left, right, top, bottom } = one.getBoundingClientRect();
    return left - 24 <= x && x <= right + 24 && top <= y && y <= bottom;
  });
  const shelfId = shelf?.dataset["shelf"];
  if (!shelf || !shelfId) return null;
  let best: { id: string; distance: number; behind: boolean; before: string } | null = null;
  let before = "first";
  for (const pot of shelf.querySelectorAll<HTMLElement>("[data-plant]")) {
    const id = pot.dataset["plant"];
    if (!id || id === plantId) continue;
    const { left, right, top, bottom } = pot.getBoundingClientRect();
    // A line of the shelf counts more than the way along it.
    const distance = Math.abs(x - (left + right) / 2) + 4 * Math.max(0, top - y, y - bottom);
    if (!best || distance < best.distance) best = { id, distance, behind: x > (left + right) / 2, before };
    before = id;
  }
  if (!best) return { shelfId, after: "first" };
  return { shelfId, after: best.behind ? best.id : best.before };
}
