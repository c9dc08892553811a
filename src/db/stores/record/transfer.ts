import { z } from "zod";
import type { Section } from "@/core/record/format/collectionFile";
import type { Scope } from "../../connection";
import { model } from "../../models";
import { idList, rows, run } from "../../query";

/** Whole sections of a collection, out and in again. */

const underscored = (attribute: string) => attribute.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const line = z.object({ cursor: z.string(), line: z.record(z.string(), z.unknown()) });
const PAGE = 500;

function fieldsOf({ key, columns, parts, kind }: Section): string {
  const fields = [...key, ...Object.keys(columns)].map((name) => `'${name}', f.${underscored(name)}`);
  if (kind)
    fields.push(
      "'at', f.happened_at, 'recordedAt', f.recorded_at, 'recordedBy', f.recorded_by, 'voidedAt', f.voided_at, 'voidReason', f.void_reason",
    );
  for (const [name, { table, of, columns: own, order }] of Object.entries(parts)) {
    const part = ["id", ...Object.keys(own)]
      .map((attribute) => `'${attribute}', p.${underscored(attribute)}`)
      .join(", ");
    const by = order.map((attribute) => `p.${underscored(attribute)}`).join(", ");
    fields.push(`'${name}', coalesce((select json_agg(json_build_object(${part}) order by ${by}) from ${table} p
      where p.collection_id = f.collection_id and p.${underscored(of)} = f.id), '[]')`);
  }
  return fields.join(", ");
}

/** The lines of a section, page by page, in an order that is always the same. */
export async function* linesOf(scope: Scope, section: Section): AsyncGenerator<Record<string, unknown>> {
  // Places come in the order in which they were added: they come to stand in it again.
  const cursor =
    section.table === "places"
      ? "lpad(f.position::text, 12, '0')"
      : section.key.map((name) => `f.${underscored(name)}::text`).join(" || ");
  const sql = `select ${cursor} as cursor, json_build_object(${fieldsOf(section)}) as line from ${section.table} f
    where f.collection_id = :c and ${cursor} > :after order by 1 limit :page`;
  let after = "";
  for (;;) {
    const page = await rows(scope, line, sql, { after, page: PAGE });
    for (const one of page) yield one.line;
    if (page.length < PAGE) return;
    after = page.at(-1)!.cursor;
  }
}

const picture = z.object({ bytes: z.instanceof(Buffer) });

/** The picture of a fact; null where it has none. */
export async function pictureOf(scope: Scope, { table }: Section, id: string): Promise<Buffer | null> {
  const found = await rows(scope, picture, `select bytes from ${table} where collection_id = :c and id = :id`, { id });
  return found[0]?.bytes ?? null;
}

/** Which of these rows are there already, by their keys put together. */
export async function there(scope: Scope, { table, key }: Section, ids: readonly string[]): Promise<Set<string>> {
  const together = key.map((name) => `${underscored(name)}::text`).join(" || ");
  const sql = `select ${together} as id from ${table} where collection_id = :c and ${together} = any (cast(:ids as text[]))`;
  return new Set((await rows(scope, z.object({ id: z.string() }), sql, { ids: idList(ids) })).map(({ id }) => id));
}

/** Adds lines that are not there, with their parts; each with its picture where the section has them. */
export async function addLines(
  scope: Scope,
  section: Section,
  lines: readonly (Record<string, unknown> & { readonly bytes?: Buffer })[],
): Promise<void> {
  const { table, parts, kind } = section;
  const add = (into: string, values: readonly Record<string, unknown>[]) =>
    values.length === 0
      ? null
      : model(scope.sequelize, into).bulkCreate(
          values.map((row) => ({ collectionId: scope.collectionId, ...row })),
          { transaction: scope.transaction, returning: false },
        );
  const names = Object.keys(parts);
  await add(
    table,
    lines.map(({ at, ...row }) => ({
      ...Object.fromEntries(Object.entries(row).filter(([name]) => !names.includes(name))),
      ...(kind && { happenedAt: at }),
    })),
  );
  for (const [name, { table: into, of }] of Object.entries(parts))
    await add(
      into,
      lines.flatMap((row) => (row[name] as Record<string, unknown>[]).map((part) => ({ ...part, [of]: row["id"] }))),
    );
}

/** Strikes out what stands here and was struck out there. Gives of how many facts that is so. */
export async function strikeOut(
  scope: Scope,
  { table }: Section,
  struck: readonly { readonly id: unknown; readonly voidedAt: unknown; readonly voidReason: unknown }[],
): Promise<number> {
  if (struck.length === 0) return 0;
  const sql = `update ${table} f set voided_at = s."voidedAt", void_reason = s."voidReason"
    from jsonb_to_recordset(cast(:struck as jsonb)) as s(id uuid, "voidedAt" timestamptz, "voidReason" text)
    where f.collection_id = :c and f.id = s.id and f.voided_at is null returning f.id as id`;
  return (await rows(scope, z.object({ id: z.string() }), sql, { struck: JSON.stringify(struck) })).length;
}

const code = z.object({ code: z.string() });

/** The codes that plants in use bear, in small letters. */
export async function codesInUse(scope: Scope): Promise<Set<string>> {
  const sql = "select lower(code) as code from plants where collection_id = :c and archived_at is null";
  return new Set((await rows(scope, code, sql)).map((one) => one.code));
}

/** Has everything that follows from the facts derived anew, of plants that have never been derived too. */
export async function deriveAll(scope: Scope): Promise<void> {
  await run(
    scope,
    `insert into plant_states (collection_id, plant_id, place_id, slot, apart, state, petals, look_due_on, look_due_for,
       facts_version, current)
     select distinct on (t.plant_id) t.collection_id, t.plant_id, t.place_id, t.slot, false, 'clear', 0, t.happened_at::date,
       'round', 0, false
     from placements t where t.collection_id = :c and t.voided_at is null order by t.plant_id, t.happened_at desc, t.recorded_at desc
     on conflict (collection_id, plant_id) do update set facts_version = plant_states.facts_version + 1, current = false`,
  );
}

/** Fails here, and not at the end of the transaction, where a cutting's mother is not there. */
export async function checkMothers(scope: Scope): Promise<void> {
  await run(scope, "set constraints plants_mother immediate");
}
