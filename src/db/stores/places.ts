import type { Place, PlaceTemperature } from "@/core/facts/records";
import type { Scope } from "../connection";
import { model } from "../models";
import { insert, rows, update } from "../query";

const columns = `id, name, kind, parent_id as "parentId", mean_c::float8 as "meanC"`;

/** Every place, in the order it was added. */
export function all(scope: Scope): Promise<Place[]> {
  return rows<Place>(scope, `select ${columns} from places where collection_id = :c order by position`);
}

export async function find(scope: Scope, id: string): Promise<Place | null> {
  const found = await rows<Place>(scope, `select ${columns} from places where collection_id = :c and id = :id`, { id });
  return found[0] ?? null;
}

export function add(scope: Scope, place: Place): Promise<void> {
  return insert(scope, "Place", { ...place });
}

/** Every temperature on record, each place's oldest first. */
export function temperatures(scope: Scope): Promise<PlaceTemperature[]> {
  const sql = `select place_id as "placeId", since::text as since, mean_c::float8 as "meanC" from place_temperatures
    where collection_id = :c order by place_id, since`;
  return rows<PlaceTemperature>(scope, sql);
}

/** A place's temperature from a day on; a second word on the same day replaces the first. */
export async function setTemperature(scope: Scope, temperature: PlaceTemperature): Promise<void> {
  await model(scope.sequelize, "PlaceTemperature").bulkCreate([{ collectionId: scope.collectionId, ...temperature }], {
    updateOnDuplicate: ["meanC"],
    transaction: scope.transaction,
  });
}

export function change(scope: Scope, id: string, values: Pick<Place, "name" | "meanC">): Promise<void> {
  return update(scope, "Place", id, values);
}
