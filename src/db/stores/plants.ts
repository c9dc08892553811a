import type { Plant } from "@/core/facts/records";
import type { Scope } from "../connection";
import { dayOf, insert, rows, update } from "../query";

const columns = `p.id, p.code, p.name, p.genus, p.growth_form as "growthForm", p.pot_cm::float8 as "potCm",
  p.acquired_on::text as "acquiredOn", p.seller, p.in_flower as "inFlower", ${dayOf("p.added_at")} as "addedOn",
  p.archived_at is not null as archived`;

export async function find(scope: Scope, id: string): Promise<Plant | null> {
  const found = await many(scope, [id]);
  return found[0] ?? null;
}

export async function many(scope: Scope, ids: readonly string[]): Promise<Plant[]> {
  if (ids.length === 0) return [];
  return rows<Plant>(scope, `select ${columns} from plants p where p.collection_id = :c and p.id in (:ids)`, { ids });
}

/**
 * Keeps every other deed on this plant waiting until the transaction ends; null when there is no such plant. Facts of other
 * plants may go on referring to it meanwhile, as a find beside it does.
 */
export async function lock(scope: Scope, id: string): Promise<Plant | null> {
  const sql = `select ${columns} from plants p where p.collection_id = :c and p.id = :id for no key update`;
  return (await rows<Plant>(scope, sql, { id }))[0] ?? null;
}

/** The id of the plant in use that bears this code, whatever the case of its letters. */
export async function withCode(scope: Scope, code: string): Promise<string | null> {
  const sql = `select id from plants where collection_id = :c and lower(code) = lower(:code) and archived_at is null`;
  return (await rows<{ id: string }>(scope, sql, { code }))[0]?.id ?? null;
}

type Description = Omit<Plant, "id" | "addedOn" | "archived">;

export function add(scope: Scope, id: string, description: Description, addedAt: Date): Promise<void> {
  return insert(scope, "Plant", { id, ...description, addedAt });
}

export function change(scope: Scope, id: string, description: Description): Promise<void> {
  return update(scope, "Plant", id, { ...description });
}

export function setArchived(scope: Scope, id: string, archivedAt: Date | null): Promise<void> {
  return update(scope, "Plant", id, { archivedAt });
}

/** Ids of all plants in use. */
export async function inUse(scope: Scope): Promise<string[]> {
  const sql = `select id from plants where collection_id = :c and archived_at is null`;
  return (await rows<{ id: string }>(scope, sql)).map((row) => row.id);
}
