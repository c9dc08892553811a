import Papa from "papaparse";
import { v7 as uuidv7 } from "uuid";
import type { z } from "zod";
import type { addPlant, addPlants } from "@/core/record/facts/commands";
import { nextCodes } from "@/core/knowledge/plants/codes";
import type { GrowthFormId } from "@/core/knowledge/plants/growthForms";
import { plantsFromRows, type ListedPlant } from "@/core/knowledge/plants/plantList";

/** A plant as it stands in the table, before it is added. Nobody has said yet how it grows where its form is empty. */
export type Row = Omit<z.input<typeof addPlant>, "growthForm"> & { growthForm: GrowthFormId | "" };

/** The plants of the form, as they are sent. */
export type Plants = z.input<typeof addPlants>;

/** What goes for every plant of which the list says nothing else. */
export interface Usual {
  readonly placeId: string;
  readonly potCm: string;
}

/** What has been read from a list: the rows, and what of it was left out. */
export interface Read {
  readonly rows: readonly Row[];
  /** What a row's place is called, by the row's id, where there is none of that name. */
  readonly placesMeant: ReadonlyMap<string, string>;
  readonly ignored: readonly string[];
}

/** A row without a plant yet. */
export function emptyRow(code: string, { placeId, potCm }: Usual): Row {
  return {
    id: uuidv7(),
    placementId: uuidv7(),
    placeId,
    code,
    name: "",
    genus: "",
    growthForm: "",
    potCm,
    acquiredOn: "",
    seller: "",
    inFlower: false,
  };
}

/** Rows that say the same and of which nobody has said yet how they grow, the most first. */
export function unknownIn(
  rows: readonly Pick<Row, "name" | "growthForm">[],
): readonly { name: string; at: number[] }[] {
  const byName = new Map<string, { name: string; at: number[] }>();
  for (const [i, { name, growthForm }] of rows.entries()) {
    if (growthForm !== "" || name.trim() === "") continue;
    const key = name.trim().toLowerCase();
    byName.set(key, { name: byName.get(key)?.name ?? name.trim(), at: [...(byName.get(key)?.at ?? []), i] });
  }
  return [...byName.values()].toSorted((a, b) => b.at.length - a.at.length);
}

/**
 * Rows from a pasted list or the text of a CSV file: separated by commas, semicolons or tabs. Plants without a code are given
 * the next ones that are free. A place that is not known stays open, for the keeper to choose.
 */
export function rowsFrom(
  text: string,
  taken: readonly string[],
  usual: Usual,
  places: readonly { readonly id: string; readonly name: string }[],
): Read {
  // A list of names has a comma where somebody wrote one; tabs and semicolons always part cells.
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), {
    skipEmptyLines: "greedy",
    delimitersToGuess: ["\t", ";", ","],
  });
  const { plants, ignored } = plantsFromRows(data);
  const own = plants.map(({ code }) => code).filter(Boolean);
  const codes = nextCodes([...taken, ...own], plants.length - own.length).values();
  const placeOf = ({ place }: ListedPlant) =>
    place === "" ? usual.placeId : (places.find(({ name }) => name.toLowerCase() === place.toLowerCase())?.id ?? "");
  const rows = plants.map((plant) => ({
    ...emptyRow(plant.code || codes.next().value!, usual),
    name: plant.name,
    genus: plant.genus,
    growthForm: plant.growthForm ?? ("" as const),
    potCm: plant.potCm || usual.potCm,
    acquiredOn: plant.acquiredOn,
    seller: plant.seller,
    placeId: placeOf(plant),
  }));
  const placesMeant = new Map(
    rows.flatMap(({ id, placeId }, i) => (placeId === "" ? [[id, plants[i]!.place] as const] : [])),
  );
  return { rows, placesMeant, ignored };
}
