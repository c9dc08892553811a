import { z } from "zod";
import type { Place } from "@/core/record/facts/descriptions";
import { lightIds, placeKinds } from "@/core/record/facts/commands";
import type { Scope } from "../../connection";
import { first, insert, rows, update } from "../../query";

const place = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(placeKinds),
  parentId: z.string().nullable(),
  roomFor: z.number().nullable(),
  doorShut: z.boolean(),
  dripsOn: z.string().nullable(),
  light: z.enum(lightIds).nullable(),
  heightCm: z.number().nullable(),
  planColumn: z.number().nullable(),
  planRow: z.number().nullable(),
});
const select = `select id, name, kind, parent_id as "parentId", room_for as "roomFor", door_shut as "doorShut",
    drips_on as "dripsOn", light, height_cm as "heightCm", plan_column as "planColumn", plan_row as "planRow" from places where collection_id = :c`;

/** Every place, in the order it was added. */
export function all(scope: Scope): Promise<Place[]> {
  return rows(scope, place, `${select} order by position, id`);
}

export function find(scope: Scope, id: string): Promise<Place | null> {
  return first(scope, place, `${select} and id = :id`, { id });
}

export function add(scope: Scope, added: Place): Promise<void> {
  return insert(scope, "places", [{ ...added }]);
}

/** Changes what is written of a place; what is left out stays as it is. */
export function change(
  scope: Scope,
  id: string,
  described: Partial<Omit<Place, "id" | "kind" | "parentId">>,
): Promise<void> {
  return update(scope, "places", id, described);
}
