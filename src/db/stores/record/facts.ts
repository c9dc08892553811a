import { z } from "zod";
import { factKindOf, type Fact, type FactKindId } from "@/core/record/facts/facts";
import { everyFact, type Columns, type FactKind } from "@/core/record/facts/kind";
import { dayIn } from "@/zones";
import type { Scope } from "../../connection";
import { any, first, idList, insert, rows, run, update } from "../../query";

/** One way for every kind of fact: written, read and struck out as the registry describes it. */

const underscored = (attribute: string) => attribute.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

/** How a column is read: numbers as numbers, days as text. */
function column(alias: string, attribute: string, type: Columns[string]): string {
  const name = `${alias}.${underscored(attribute)}`;
  return type === "number" ? `${name}::float8` : type === "day" ? `${name}::text` : name;
}

function columnsOf(kind: FactKind): string {
  const own = Object.entries(kind.columns)
    .filter(([, type]) => type !== "bytes")
    .map(([attribute, type]) => `${column("f", attribute, type)} as "${attribute}"`);
  const parts = Object.entries(kind.parts ?? {}).map(([name, { table, of, columns, order }]) => {
    const fields = Object.entries({ id: "uuid" as const, ...columns }).map(
      ([attribute, type]) => `'${attribute}', ${column("p", attribute, type)}`,
    );
    const by = order.map((attribute) => `p.${underscored(attribute)}`).join(", ");
    return `coalesce((select json_agg(json_build_object(${fields.join(", ")}) order by ${by}) from ${table} p
      where p.collection_id = f.collection_id and p.${underscored(of)} = f.id), '[]') as "${name}"`;
  });
  const every = `f.id, f.happened_at as at, f.recorded_at as "recordedAt", f.recorded_by as "recordedBy",
    f.recorded_account as "recordedAccount", f.void_reason as "voidReason"`;
  return [every, ...own, ...parts].join(", ");
}

/** The shape of each kind's rows, and the columns that give it: made once. */
const reading = new Map<
  FactKindId,
  { readonly shape: z.ZodType<z.output<typeof everyFact>>; readonly columns: string }
>();

function readingOf(id: FactKindId) {
  const known = reading.get(id);
  if (known) return known;
  const kind = factKindOf(id);
  const made = { shape: everyFact.extend(kind.own.shape as Record<never, never>), columns: columnsOf(kind) };
  reading.set(id, made);
  return made;
}

const inOrder = "order by f.happened_at, f.recorded_at, f.id";

async function read<K extends FactKindId>(
  scope: Scope,
  id: K,
  where: string,
  replacements: Record<string, unknown>,
  beside = "",
): Promise<Fact<K>[]> {
  const { shape, columns } = readingOf(id);
  const sql = `select ${columns} from ${beside} ${factKindOf(id).table} f where f.collection_id = :c and ${where} ${inOrder}`;
  const found = await rows(scope, shape, sql, replacements);
  return found.map((fact) => ({ ...fact, day: dayIn(fact.at, scope.timeZone) }) as unknown as Fact<K>);
}

/** Facts of a kind whose attribute names one of these ids, oldest first, those struck out among them. */
export async function of<K extends FactKindId>(
  scope: Scope,
  kind: K,
  attribute: "plantId" | "placeId" | "lookId" | "walkId",
  ids: readonly string[],
): Promise<Fact<K>[]> {
  if (ids.length === 0) return [];
  return read(scope, kind, `f.${underscored(attribute)} = any (cast(:ids as uuid[]))`, { ids: idList(ids) });
}

/** Facts of all plants of a genus, however its name is written, large or small; oldest first, those struck out among them. */
export function ofGenus<K extends FactKindId>(scope: Scope, kind: K, names: readonly string[]): Promise<Fact<K>[]> {
  const theirs = `f.plant_id in (select p.id from plants p where p.collection_id = :c
    and lower(p.genus) in (select jsonb_array_elements_text(cast(:names as jsonb))))`;
  return read(scope, kind, theirs, { names: JSON.stringify(names.map((name) => name.toLowerCase())) });
}

/** Facts of plants, of each from a moment of its own on; oldest first, those struck out among them. */
export async function since<K extends FactKindId>(
  scope: Scope,
  kind: K,
  begins: ReadonlyMap<string, Date>,
): Promise<Fact<K>[]> {
  if (begins.size === 0) return [];
  const from = JSON.stringify([...begins].map(([plant, at]) => ({ plant, at })));
  // Beginning from the few plants, the index by plant and moment leads to theirs alone.
  const beside = `jsonb_to_recordset(cast(:from as jsonb)) as s (plant uuid, at timestamptz),`;
  return read(scope, kind, "f.plant_id = s.plant and f.happened_at >= s.at", { from }, beside);
}

/** The newest facts of a kind, oldest of them first, those struck out among them. */
export async function newest<K extends FactKindId>(scope: Scope, kind: K, limit: number): Promise<Fact<K>[]> {
  const { table } = factKindOf(kind);
  const some = `f.id in (select n.id from ${table} n where n.collection_id = :c order by n.happened_at desc, n.id limit :limit)`;
  return read(scope, kind, some, { limit });
}

/** Plants in use on which something was chosen, since a moment, against what has no name. */
export async function plantsAgainstUnnamed(scope: Scope, from: Date): Promise<string[]> {
  const sql = `select distinct n.plant_id as id from programmes n
    join plants p on p.collection_id = n.collection_id and p.id = n.plant_id and p.archived_at is null
    where n.collection_id = :c and n.programme = 'unnamed' and n.voided_at is null and n.happened_at >= :from`;
  return (await rows(scope, z.object({ id: z.string() }), sql, { from })).map(({ id }) => id);
}

const contacted = z.object({
  plantId: z.string(),
  placeId: z.string(),
  genus: z.string(),
  at: z.date().nullable(),
  times: z.number(),
});

/** When each plant in use was last treated with one of these mixes, null for never, and how often since a moment; with where it stands and its genus. */
export function lastContacts(
  scope: Scope,
  mixes: readonly string[],
  since: Date,
): Promise<z.output<typeof contacted>[]> {
  const sql = `select p.id as "plantId", s.place_id as "placeId", p.genus, max(a.happened_at) as at,
      (count(a.id) filter (where a.happened_at >= :since))::int as times
    from plants p join plant_states s on s.collection_id = p.collection_id and s.plant_id = p.id left join acts a on a.collection_id = p.collection_id and a.plant_id = p.id and a.voided_at is null
      and a.act ->> 'kind' = 'contact' and a.act ->> 'mix' in (select jsonb_array_elements_text(cast(:mixes as jsonb)))
    where p.collection_id = :c and p.archived_at is null group by p.id, s.place_id, p.genus`;
  return rows(scope, contacted, sql, { mixes: JSON.stringify(mixes), since });
}

/** Every fact of a kind since a moment, oldest first, those struck out among them. */
export function from<K extends FactKindId>(scope: Scope, kind: K, moment: Date): Promise<Fact<K>[]> {
  return read(scope, kind, "f.happened_at >= :from", { from: moment });
}

const onDay = z.object({ day: z.string(), plants: z.number() });

/** How many plants were treated, or looked at, on each day of a span, both included; days without any are left out. */
export function plantsByDay(
  scope: Scope,
  kind: "act" | "look",
  from: string,
  until: string,
): Promise<z.output<typeof onDay>[]> {
  const day = "(f.happened_at at time zone :zone)::date";
  const sql = `select ${day}::text as day, count(distinct f.plant_id)::int as plants from ${factKindOf(kind).table} f
    where f.collection_id = :c and f.plant_id is not null and f.voided_at is null
      and f.happened_at >= cast(:from as date) - 2 and f.happened_at < cast(:until as date) + 2
      and ${day} between cast(:from as date) and cast(:until as date) group by 1`;
  return rows(scope, onDay, sql, { zone: scope.timeZone, from, until });
}

/** Every letting loose of predators that stands, oldest first. */
export function releases(scope: Scope): Promise<Fact<"act">[]> {
  return read(scope, "act", "f.voided_at is null and f.act ->> 'kind' = 'release'", {});
}

/** What was done to places since a moment, oldest first, what was struck out among it. */
export function onPlaces(scope: Scope, from: Date): Promise<Fact<"act">[]> {
  return read(scope, "act", "f.place_id is not null and f.happened_at >= :from", { from });
}

/** Every fact of a kind in the collection, oldest first, those struck out among them. */
export function all<K extends FactKindId>(scope: Scope, kind: K): Promise<Fact<K>[]> {
  return read(scope, kind, "true", {});
}

export async function find<K extends FactKindId>(scope: Scope, kind: K, id: string): Promise<Fact<K> | null> {
  return (await read(scope, kind, "f.id = :id", { id }))[0] ?? null;
}

/** Writes facts of a kind down, each with its parts, as of now and by whom it was done. */
export async function add<K extends FactKindId>(
  scope: Scope,
  id: K,
  facts: readonly (Omit<Fact<K>, "day" | "recordedAt" | "recordedBy" | "recordedAccount" | "voidReason"> &
    Record<string, unknown>)[],
): Promise<void> {
  const kind = factKindOf(id);
  const parts = Object.entries(kind.parts ?? {});
  const recorded = { recordedAt: scope.now, recordedBy: scope.actor, recordedAccount: scope.accountId };
  const partNames = parts.map(([name]) => name);
  await insert(
    scope,
    kind.table,
    facts.map(({ at, ...fact }) => ({
      ...Object.fromEntries(Object.entries(fact).filter(([attribute]) => !partNames.includes(attribute))),
      happenedAt: at,
      ...recorded,
    })),
  );
  for (const [name, { table, of: owner }] of parts) {
    const own = facts.flatMap((fact) =>
      ((fact as Record<string, unknown>)[name] as Record<string, unknown>[]).map((part) => ({
        ...part,
        [owner]: fact.id,
      })),
    );
    await insert(scope, table, own);
  }
}

/** Facts are never deleted: striking out says that one is not true, and why. */
export function strike(scope: Scope, kind: FactKindId, id: string, reason: string): Promise<void> {
  return update(scope, factKindOf(kind).table, id, { voidedAt: scope.now, voidReason: reason });
}

/** Whether some fact of a kind already has this id: it was sent before. */
export function isRecorded(scope: Scope, kind: FactKindId, id: string): Promise<boolean> {
  return isThere(scope, factKindOf(kind).table, id);
}

/** Which of these ids facts of a kind have already. */
export async function recordedAmong(scope: Scope, kind: FactKindId, ids: readonly string[]): Promise<Set<string>> {
  const sql = `select id from ${factKindOf(kind).table} where collection_id = :c and id = any (cast(:ids as uuid[]))`;
  return new Set((await rows(scope, z.object({ id: z.string() }), sql, { ids: idList(ids) })).map(({ id }) => id));
}

/** Facts of a kind by their ids. */
export async function some<K extends FactKindId>(scope: Scope, kind: K, ids: readonly string[]): Promise<Fact<K>[]> {
  return ids.length === 0 ? [] : read(scope, kind, "f.id = any (cast(:ids as uuid[]))", { ids: idList(ids) });
}

/** Whether a row of a table already has this id: it was sent before. */
export function isThere(scope: Scope, table: string, id: string): Promise<boolean> {
  return any(scope, `select 1 from ${table} where collection_id = :c and id = :id`, { id });
}

/** How many facts of a kind stand with this attribute. */
export async function countStanding(scope: Scope, kind: FactKindId, attribute: string, id: string): Promise<number> {
  const sql = `select count(*)::int as n from ${factKindOf(kind).table}
    where collection_id = :c and ${underscored(attribute)} = :id and voided_at is null`;
  return (await first(scope, z.object({ n: z.number() }), sql, { id }))?.n ?? 0;
}

/** Makes transactions that name the same key run one after the other, so that each sees what the one before wrote. */
export async function advisoryLock(scope: Scope, key: string): Promise<void> {
  await run(scope, "select pg_advisory_xact_lock(hashtextextended(:key, 0))", { key });
}
