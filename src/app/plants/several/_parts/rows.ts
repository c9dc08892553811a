import Papa from "papaparse";
import { v7 as uuidv7 } from "uuid";
import type { z } from "zod";
import type { addPlant } from "@/core/facts/deeds";
import { nextCodes } from "@/core/plants/codes";
import { plantsFromRows, type ListedPlant } from "@/core/plants/plantList";

/** A plant as it stands in the table, before it is added. */
export type Row = z.input<typeof addPlant>;

/** What goes for every plant of which the list says nothing else. */
export interface Usual {
  readonly placeId: string;
  readonly potCm: string;
}

/** What has been read from a list: the rows, and what of it was left out. */
export interface Read {
  readonly rows: readonly Row[];
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
    growthForm: "uprightShrub",
    potCm,
    acquiredOn: "",
    seller: "",
    inFlower: false,
  };
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
    growthForm: plant.growthForm ?? ("uprightShrub" as const),
    potCm: plant.potCm || usual.potCm,
    acquiredOn: plant.acquiredOn,
    seller: plant.seller,
    placeId: placeOf(plant),
  }));
  return { rows, ignored };
}
