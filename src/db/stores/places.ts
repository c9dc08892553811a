import { z } from "zod";
import type { Place } from "@/core/facts/descriptions";
import { placeKinds } from "@/core/facts/deeds";
import type { Scope } from "../connection";
import { first, insert, rows, update } from "../query";

const place = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(placeKinds),
  parentId: z.string().nullable(),
});
const select = `select id, name, kind, parent_id as "parentId" from places where collection_id = :c`;

/** Every place, in the order it was added. */
export function all(scope: Scope): Promise<Place[]> {
  return rows(scope, place, `${select} order by position`);
}

export function find(scope: Scope, id: string): Promise<Place | null> {
  return first(scope, place, `${select} and id = :id`, { id });
}

export function add(scope: Scope, added: Place): Promise<void> {
  return insert(scope, "places", [{ ...added }]);
}

export function rename(scope: Scope, id: string, name: string): Promise<void> {
  return update(scope, "places", id, { name });
}
