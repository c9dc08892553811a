import type { Place } from "@/core/facts/records";
import type { Scope } from "../connection";
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

export function change(scope: Scope, id: string, values: Pick<Place, "name" | "meanC">): Promise<void> {
  return update(scope, "Place", id, values);
}
