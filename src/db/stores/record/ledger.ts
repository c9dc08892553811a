import { z } from "zod";
import { outcomes } from "@/core/record/facts/kinds/closing";
import { toolIds } from "@/core/model/inspection/tools";
import { pestIds } from "@/core/knowledge/pests/pests";
import type { Blamed } from "@/core/advice/spread/carries";
import type { Scope } from "../../connection";
import { manyRows, rows } from "../../query";

const counted = z.object({
  caseId: z.string(),
  plantId: z.string(),
  pest: z.enum(pestIds),
  openedAt: z.date(),
  closedAt: z.date().nullable(),
  outcome: z.enum(outcomes).nullable(),
  /** When its pest was found. */
  finds: z.array(z.date()),
  /** When its plant was last looked at after it was closed; null where it was not. */
  lookedAgainAt: z.date().nullable(),
  /** When its plant left; null while it is in use. */
  archivedAt: z.date().nullable(),
  seller: z.string(),
  potCm: z.number(),
  acquiredOn: z.string().nullable(),
  placeId: z.string().nullable(),
  origin: z.custom<readonly Blamed[]>().nullable(),
});

/** Every case there was, with where its plant stood when it was found and where it probably came from. */
export function cases(scope: Scope): Promise<z.output<typeof counted>[]> {
  const sql = `select s.id as "caseId", s.plant_id as "plantId", s.pest, s.opened_at as "openedAt", s.closed_at as "closedAt",
      s.outcome, s.finds, again.at as "lookedAgainAt", p.archived_at as "archivedAt",
      p.seller, p.pot_cm::float8 as "potCm", p.acquired_on::text as "acquiredOn", stood.place_id as "placeId", n.origin
    from cases s
    join plants p on p.collection_id = s.collection_id and p.id = s.plant_id
    left join case_numbers n on n.collection_id = s.collection_id and n.case_id = s.id
    left join lateral (
      select max(k.happened_at) as at from looks k where k.collection_id = s.collection_id and k.plant_id = s.plant_id
        and k.voided_at is null and k.happened_at > s.closed_at
    ) again on true
    left join lateral (
      select t.place_id from placements t where t.collection_id = s.collection_id and t.plant_id = s.plant_id
        and t.voided_at is null and t.happened_at <= s.opened_at
      order by t.happened_at desc, t.recorded_at desc, t.id desc limit 1
    ) stood on true
    where s.collection_id = :c order by s.opened_at, s.id`;
  return rows(scope, counted, sql);
}

const looked = z.object({ caseId: z.string(), tool: z.enum(toolIds), looks: z.number() });

/** How often plants were looked at while they were in a case, and with what. */
export function looksInCases(scope: Scope): Promise<z.output<typeof looked>[]> {
  const sql = `select s.id as "caseId", k.tool, count(*)::int as looks
    from cases s join looks k on k.collection_id = s.collection_id and k.plant_id = s.plant_id and k.voided_at is null
      and k.happened_at >= s.opened_at and k.happened_at <= coalesce(s.closed_at, 'infinity')
    where s.collection_id = :c group by s.id, k.tool`;
  return rows(scope, looked, sql);
}

const together = z.object({ seller: z.string(), placeId: z.string(), plantIds: z.array(z.string()) });

/** Every plant there is or was: those of each seller that stand, or stood last, at each place. */
export function plants(scope: Scope): Promise<z.output<typeof together>[]> {
  const sql = `select p.seller, c.place_id as "placeId", json_agg(p.id order by p.code) as "plantIds"
    from plants p join plant_states c on c.collection_id = p.collection_id and c.plant_id = p.id
    where p.collection_id = :c group by p.seller, c.place_id order by p.seller, c.place_id`;
  return manyRows(scope, together, sql);
}
