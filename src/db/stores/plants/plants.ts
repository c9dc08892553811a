import { z } from "zod";
import type { Day } from "@/core/shared/days";
import type { Plant } from "@/core/record/facts/descriptions";
import { pestIds } from "@/core/knowledge/pests/pests";
import { growthFormIds } from "@/core/knowledge/plants/growthForms";
import { sensitivities } from "@/core/knowledge/plants/sensitivities";
import { plantValues } from "@/core/knowledge/plants/plantValue";
import { moistureIds } from "@/core/knowledge/plants/moisture";
import { dayIn } from "@/zones";
import type { Scope } from "../../connection";
import { first, idList, insert, manyRows, rows, update } from "../../query";

const row = z.object({
  id: z.string(),
  code: z.string(),
  name: z.string(),
  genus: z.string(),
  growthForm: z.enum(growthFormIds),
  potCm: z.number(),
  acquiredOn: z.string().nullable(),
  seller: z.string(),
  inBud: z.boolean(),
  worth: z.enum(plantValues),
  kept: z.enum(moistureIds).nullable(),
  motherId: z.string().nullable(),
  inherits: z.partialRecord(z.enum(pestIds), z.number()),
  inFlower: z.boolean(),
  careAdded: z.array(z.enum(sensitivities)),
  careWithout: z.array(z.enum(sensitivities)),
  addedAt: z.date(),
  archivedAt: z.date().nullable(),
});

/** The same as it comes in one text. */
const asText = row.extend({ addedAt: z.coerce.date(), archivedAt: z.coerce.date().nullable() });

const select = `select p.id, p.code, p.name, p.genus, p.growth_form as "growthForm", p.pot_cm::float8 as "potCm",
    p.acquired_on::text as "acquiredOn", p.seller, p.in_flower as "inFlower",
    p.in_bud as "inBud", p.worth, p.kept, p.mother_id as "motherId", p.inherits, p.care_added as "careAdded", p.care_without as "careWithout", p.added_at as "addedAt",
    p.archived_at as "archivedAt"
  from plants p where p.collection_id = :c`;

const parsed = (scope: Scope, { addedAt, acquiredOn, ...plant }: z.output<typeof row>): Plant => ({
  ...plant,
  acquiredOn: acquiredOn as Day | null,
  addedOn: dayIn(addedAt, scope.timeZone),
});

/** By code, whatever the order of `ids`: sums over pots must not come out otherwise because rows lie otherwise. */
export async function many(scope: Scope, ids: readonly string[]): Promise<Plant[]> {
  if (ids.length === 0) return [];
  const sql = `${select} and p.id = any (cast(:ids as uuid[])) order by p.code`;
  const found = await rows(scope, row, sql, { ids: idList(ids) });
  return found.map((plant) => parsed(scope, plant));
}

/**
 * Keeps every other command on this plant waiting until the transaction ends; null when there is no such plant. Facts of other
 * plants may go on referring to it meanwhile, as a find beside it does.
 */
export async function lock(scope: Scope, id: string): Promise<Plant | null> {
  const found = await first(scope, row, `${select} and p.id = :id for no key update`, { id });
  return found && parsed(scope, found);
}

/** As {@link lock}, of several: in the order of their ids, so that nobody who locks several waits for somebody who waits for them. */
export async function lockAll(scope: Scope, ids: readonly string[]): Promise<Plant[]> {
  if (ids.length === 0) return [];
  const sql = `${select} and p.id = any (cast(:ids as uuid[])) order by p.id for no key update`;
  return (await rows(scope, row, sql, { ids: idList(ids) })).map((plant) => parsed(scope, plant));
}

/** The ids of plants in use that bear one of these codes, whatever the case of its letters. */
export function withCodes(scope: Scope, codes: readonly string[]): Promise<{ id: string; code: string }[]> {
  const sql = `select id, lower(code) as code from plants
    where collection_id = :c and archived_at is null and lower(code) in (select lower(x) from jsonb_array_elements_text(cast(:codes as jsonb)) x)`;
  return rows(scope, z.object({ id: z.string(), code: z.string() }), sql, { codes: JSON.stringify(codes) });
}

/** The codes of all plants in use. */
export async function codes(scope: Scope): Promise<string[]> {
  const sql = "select code from plants where collection_id = :c and archived_at is null order by code";
  return (await rows(scope, z.object({ code: z.string() }), sql)).map(({ code }) => code);
}

/** The plants that were cut from one, by code, those that have left among them. */
export async function cutFrom(scope: Scope, motherId: string): Promise<Plant[]> {
  const found = await rows(scope, row, `${select} and p.mother_id = :motherId order by p.code`, { motherId });
  return found.map((plant) => parsed(scope, plant));
}

/** Every plant that ever was here, by code; of several that bore one the one in use comes last. */
export async function every(scope: Scope): Promise<Plant[]> {
  const found = await manyRows(scope, asText, `${select} order by p.code, p.archived_at is null, p.archived_at`);
  return found.map((plant) => parsed(scope, plant));
}

type Description = Omit<Plant, "id" | "addedOn" | "archivedAt">;

export function add(scope: Scope, plants: readonly (Description & { readonly id: string })[]): Promise<void> {
  const recorded = { addedAt: scope.now, recordedBy: scope.actor };
  return insert(
    scope,
    "plants",
    plants.map((plant) => ({ ...plant, ...recorded })),
  );
}

export function change(scope: Scope, id: string, description: Description): Promise<void> {
  return update(scope, "plants", id, { ...description });
}

export function setPot(scope: Scope, id: string, potCm: number): Promise<void> {
  return update(scope, "plants", id, { potCm });
}

export function setArchived(scope: Scope, id: string, archivedAt: Date | null): Promise<void> {
  return update(scope, "plants", id, { archivedAt });
}
