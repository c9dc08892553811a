import { z } from "zod";
import { look } from "@/core/record/facts/kinds/look";
import { expectedOf, type Passing } from "@/core/model/learning/passing";
import { pestIds } from "@/core/knowledge/pests/pests";
import type { Day } from "@/core/shared/days";
import { dayIn } from "@/zones";
import type { Scope } from "../../connection";
import { first, idList, inParallel, rows } from "../../query";

const named = z.object({ naming: look.own.shape.naming.unwrap(), pests: z.array(z.enum(pestIds)) });
export type NamedLook = z.output<typeof named>;

/** The newest looks that stand at which signs were looked for, with what was found; `limit` of them at most. */
export function withNaming(scope: Scope, limit: number): Promise<NamedLook[]> {
  const sql = `select k.naming, array(
      select f.pest from finds f where f.collection_id = k.collection_id and f.look_id = k.id order by f.pest
    ) as pests
    from looks k where k.collection_id = :c and k.naming is not null and k.voided_at is null
    order by k.happened_at desc limit :limit`;
  return rows(scope, named, sql, { limit });
}

const looked = z.object({ plantId: z.string(), at: z.date(), clean: z.boolean() });
export type LookDay = z.output<typeof looked> & { readonly day: Day };

/**
 * When plants were looked at, oldest first, and whether nothing was found; those that stand alone. Among them what was dabbed or
 * picked off by the eye that saw none (core/record/cases/inspections).
 */
export async function daysOf(scope: Scope, plantIds: readonly string[]): Promise<LookDay[]> {
  const sql = `select "plantId", at, clean from (
      select k.plant_id as "plantId", k.happened_at as at, k.recorded_at, k.id, not exists (
        select 1 from finds f where f.collection_id = k.collection_id and f.look_id = k.id) as clean
      from looks k where k.collection_id = :c and k.plant_id = any (cast(:ids as uuid[])) and k.voided_at is null
      union all
      select a.plant_id, a.happened_at, a.recorded_at, a.id, true
      from acts a where a.collection_id = :c and a.plant_id = any (cast(:ids as uuid[])) and a.voided_at is null
        and a.act ->> 'seen' = 'none' and a.act ->> 'tool' is not null
        and (a.act ->> 'technique' = 'dab' or a.act ->> 'way' in ('squash', 'pickOff'))
    ) one order by at, recorded_at, id`;
  const found = await rows(scope, looked, sql, { ids: idList(plantIds) });
  return found.map((one) => ({ ...one, day: dayIn(one.at, scope.timeZone) }));
}

const expected = z.object({ pFind: z.number(), found: z.boolean() });
const found = z.object({ pFind: z.number(), pPassed: z.number(), passes: z.number() });
const sums = z.object({ looks: z.number(), expected: z.number().nullable() });
/** What a look was expected to find, and whether a case began with it. */
export type ExpectedLook = z.output<typeof expected>;

/** The chance of a look of which something was expected, in no event quite 1. */
const CHANCE = "least(k.p_find, 0.999999)";
const EXPECTED = "k.collection_id = :c and k.p_find is not null and k.voided_at is null";

/** The newest looks of which something was expected, `limit` of them at most. */
export function newestExpected(scope: Scope, limit: number): Promise<ExpectedLook[]> {
  const sql = `select ${CHANCE} as "pFind", exists (
      select 1 from cases c where c.collection_id = k.collection_id and c.plant_id = k.plant_id and c.opened_at = k.happened_at) as found
    from (select * from looks k where ${EXPECTED} order by k.happened_at desc limit :limit) k`;
  return rows(scope, expected, sql, { limit });
}

/**
 * What passing from plant to plant let expect, by our own estimate, of all looks, of those that found nothing, and of each that found
 * something. Of hundreds of thousands of looks only the few finds are gone through one by one.
 */
export async function passing(scope: Scope): Promise<Passing> {
  const all = `select count(*)::int as looks, sum(-ln(1 - ${CHANCE}) * k.p_passed / k.passes) as expected
    from looks k where ${EXPECTED}`;
  const finds = `select distinct on (k.id) ${CHANCE} as "pFind", k.p_passed as "pPassed", k.passes
    from cases c join looks k on k.collection_id = c.collection_id and k.plant_id = c.plant_id and k.happened_at = c.opened_at
    where ${EXPECTED} order by k.id`;
  const [sum, few] = await inParallel(
    scope,
    () => first(scope, sums, all),
    () => rows(scope, found, finds),
  );
  const { looks = 0 } = sum ?? {};
  const due = sum?.expected ?? 0;
  const each = few.map(expectedOf);
  // Added up in another order the two may differ by a rounding.
  const quiet = Math.max(0, due - each.reduce((total, { passed }) => total + passed, 0));
  return { looks, expected: due, quiet, found: each };
}

/** Which of these plants something was ever found on; also where that look was struck out. */
export async function withFinds(scope: Scope, plantIds: readonly string[]): Promise<Set<string>> {
  const sql = `select distinct k.plant_id as id from looks k
    join finds f on f.collection_id = k.collection_id and f.look_id = k.id
    where k.collection_id = :c and k.plant_id = any (cast(:ids as uuid[]))`;
  return new Set((await rows(scope, z.object({ id: z.string() }), sql, { ids: idList(plantIds) })).map(({ id }) => id));
}

/** So many finds are gone through for what the eyes beside them saw. */
const FOUND_LATELY = 300;

/** The looks within about two days of another that found something on the same plant, themselves among them; of the finds made lately. */
export async function besideFinds(scope: Scope): Promise<string[]> {
  const sql = `with found as (
      -- Of a few finds and hundreds of thousands of looks, the finds are gone through.
      select k.id, k.plant_id, k.happened_at as at
      from (select distinct look_id from finds where collection_id = :c) f
      join looks k on k.collection_id = :c and k.id = f.look_id
      where k.voided_at is null order by k.happened_at desc limit ${FOUND_LATELY}
    ), near as (
      select found.id as find, k.id from found join looks k on k.collection_id = :c and k.plant_id = found.plant_id
        and k.id <> found.id and k.voided_at is null
        and k.happened_at between found.at - interval '3 days' and found.at + interval '3 days'
    ) select find as id from near union select id from near`;
  return (await rows(scope, z.object({ id: z.string() }), sql)).map(({ id }) => id);
}
