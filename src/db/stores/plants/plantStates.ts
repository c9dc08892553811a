import { z } from "zod";
import { growthFormIds } from "@/core/knowledge/plants/growthForms";
import type { PlantState } from "@/core/knowledge/plants/states";
import { programmeKindIds } from "@/core/schedule/programmes/programme";
import type { DerivedState } from "@/core/schedule/state/plantState";
import type { Scope } from "../../connection";
import { first, idList, manyRows, rows, run } from "../../query";

export interface StateRow extends DerivedState {
  readonly plantId: string;
  readonly placeId: string;
  /** Where in the row of its place it stands; null where nobody has said. */
  readonly slot: number | null;
  readonly apart: boolean;
}

/** Replaces the cached states of these plants; whatever was reckoned from their facts before is out of date with it. */
export function put(scope: Scope, states: readonly StateRow[]): Promise<void> {
  return write(scope, states, "plant_states.facts_version + 1");
}

/** Replaces the cached states of plants whose facts are as they were. */
export function refreshState(scope: Scope, states: readonly StateRow[]): Promise<void> {
  return write(scope, states, "plant_states.facts_version");
}

async function write(scope: Scope, states: readonly StateRow[], version: string): Promise<void> {
  if (states.length === 0) return;
  await run(
    scope,
    `insert into plant_states (collection_id, plant_id, place_id, slot, apart, state, petals, last_look_on, look_due_on,
       look_due_for, facts_version, current)
     select :c, r."plantId", r."placeId", r.slot, r.apart, r.state, r.petals, r."lastLookOn", r."lookDueOn", r."lookDueFor", 1, true
     from jsonb_to_recordset(cast(:states as jsonb)) as r("plantId" uuid, "placeId" uuid, slot float8, apart boolean, state text,
       petals integer, "lastLookOn" date, "lookDueOn" date, "lookDueFor" text)
     on conflict (collection_id, plant_id) do update set place_id = excluded.place_id, slot = excluded.slot, apart = excluded.apart,
       state = excluded.state, petals = excluded.petals, last_look_on = excluded.last_look_on,
       look_due_on = excluded.look_due_on, look_due_for = excluded.look_due_for,
       facts_version = ${version}, current = true`,
    { states: JSON.stringify(states) },
  );
}

/** Fills in the petals that a judgement gives, unless the plant's facts have changed since it was begun. */
export function putPetals(scope: Scope, plantId: string, petals: number, factsVersion: number): Promise<void> {
  return run(
    scope,
    `update plant_states set petals = :petals where collection_id = :c and plant_id = :plantId
       and facts_version = :factsVersion and state = 'surer' and petals <> :petals`,
    { plantId, petals, factsVersion },
  );
}

const states = ["clear", "new", "atRisk", "infested", "surer"] as const satisfies readonly PlantState[];
const listed = z.object({
  id: z.string(),
  code: z.string(),
  name: z.string(),
  placeId: z.string(),
  state: z.enum(states),
  petals: z.number(),
  apart: z.boolean(),
  lookDueOn: z.string(),
  lookDueFor: z.enum(programmeKindIds),
  lastLookOn: z.string().nullable(),
  factsVersion: z.number(),
  archived: z.boolean(),
});
export type ListedPlant = z.output<typeof listed>;

const every = `select p.id, p.code, p.name, c.state, c.petals, c.apart, c.place_id as "placeId",
    c.look_due_on::text as "lookDueOn", c.look_due_for as "lookDueFor", c.last_look_on::text as "lastLookOn",
    c.facts_version::float8 as "factsVersion", p.archived_at is not null as archived
  from plant_states c join plants p on p.collection_id = c.collection_id and p.id = c.plant_id
  where c.collection_id = :c`;
const inUse = `${every} and p.archived_at is null`;

/** All plants in use with their states, by code. */
export function list(scope: Scope): Promise<ListedPlant[]> {
  return manyRows(scope, listed, `${inUse} order by p.code`);
}

/** Some plants with their states, archived or not. */
export async function of(scope: Scope, ids: readonly string[]): Promise<ListedPlant[]> {
  if (ids.length === 0) return [];
  const sql = `${every} and p.id = any (cast(:ids as uuid[])) order by p.code`;
  return manyRows(scope, listed, sql, { ids: idList(ids) });
}

/** The first `limit` plants whose look is due on or before `today`, the longest overdue first. */
export function lookDue(scope: Scope, today: string, limit: number): Promise<ListedPlant[]> {
  const sql = `${inUse} and c.look_due_on <= :today order by c.look_due_on, p.code limit :limit`;
  return rows(scope, listed, sql, { today, limit });
}

const lookDay = z.object({ day: z.string(), plants: z.number(), codes: z.array(z.string()) });

/**
 * On how many plants in use looks fall due on each day until one, with the first `named` of their codes; what is overdue is due on `today`.
 * Of thousands of plants nothing else is carried along.
 */
export function lookDays(
  scope: Scope,
  today: string,
  until: string,
  named: number,
): Promise<z.output<typeof lookDay>[]> {
  // Putting codes in order as people count takes longest by far: of each day as many as are named are picked out.
  const sql = `with due as materialized (
      select greatest(c.look_due_on, cast(:today as date)) as day, p.code
      from plant_states c join plants p on p.collection_id = c.collection_id and p.id = c.plant_id
      where c.collection_id = :c and p.archived_at is null and c.look_due_on <= :until
    )
    select d.day::text, d.plants, array(select code from due where due.day = d.day order by code limit :named) as codes
    from (select day, count(*)::int as plants from due group by day) d`;
  return rows(scope, lookDay, sql, { today, until, named });
}

const counts = z.object({
  everything: z.number(),
  due: z.number(),
  arrivals: z.number(),
  nextOn: z.string().nullable(),
});

/** How many plants are in use, how many of them are due for a look, how many are new here; and the first day after `today` on which a look falls due. */
export async function count(scope: Scope, today: string): Promise<z.output<typeof counts>> {
  const sql = `select count(*)::int as everything, (count(*) filter (where c.look_due_on <= :today))::int as due,
      (count(*) filter (where c.state = 'new'))::int as arrivals,
      (min(c.look_due_on) filter (where c.look_due_on > :today))::text as "nextOn"
    from plant_states c join plants p on p.collection_id = c.collection_id and p.id = c.plant_id
    where c.collection_id = :c and p.archived_at is null`;
  return (await first(scope, counts, sql, { today }))!;
}

/** The first of the plants whose look falls due on a day, by code; null where none does. */
export async function firstLookOn(scope: Scope, day: string): Promise<ListedPlant | null> {
  return first(scope, listed, `${inUse} and c.look_due_on = :day order by p.code limit 1`, { day });
}

/** How many plants in use stand at each place. */
export function countByPlace(scope: Scope): Promise<{ placeId: string; plants: number }[]> {
  const sql = `select c.place_id as "placeId", count(*)::int as plants
    from plant_states c join plants p on p.collection_id = c.collection_id and p.id = c.plant_id
    where c.collection_id = :c and p.archived_at is null group by c.place_id`;
  return manyRows(scope, z.object({ placeId: z.string(), plants: z.number() }), sql);
}

/** Plants that stand apart, and infested plants that do not. */
export function apartOrInfested(scope: Scope): Promise<ListedPlant[]> {
  return rows(scope, listed, `${inUse} and (c.apart or c.state = 'infested') order by p.code`);
}

/**
 * The first `limit` plants in use in one state, place by place in the order of `placeIds` and by code, with how many there are. Of thousands
 * no more are read than are asked for.
 */
export async function firstInState(
  scope: Scope,
  state: PlantState,
  placeIds: readonly string[],
  limit: number,
): Promise<{ readonly all: number; readonly listed: ListedPlant[] }> {
  const sql = `select one.*, (count(*) over ())::int as "all" from (${inUse} and c.state = :state) one
    order by array_position(cast(:placeIds as uuid[]), one."placeId"), one.code limit :limit`;
  const found = await rows(scope, listed.extend({ all: z.number() }), sql, {
    state,
    placeIds: idList(placeIds),
    limit,
  });
  return { all: found[0]?.all ?? 0, listed: found.map(({ all: _all, ...row }) => row) };
}

/** Plants in use in one state, by code. */
export function inState(scope: Scope, state: PlantState): Promise<ListedPlant[]> {
  return manyRows(scope, listed, `${inUse} and c.state = :state order by p.code`, { state });
}

/** Plants in use that stand at some places, by code. */
export function standingIn(scope: Scope, placeIds: readonly string[]): Promise<ListedPlant[]> {
  const sql = `${inUse} and c.place_id = any (cast(:ids as uuid[])) order by p.code`;
  return manyRows(scope, listed, sql, { ids: idList(placeIds) });
}

/** Plants whose row is to be derived anew. */
export async function toDerive(scope: Scope): Promise<string[]> {
  const sql = "select plant_id as id from plant_states where collection_id = :c and not current order by plant_id";
  return (await rows(scope, z.object({ id: z.string() }), sql)).map(({ id }) => id);
}

/** Says of plants that what could be derived of them is. */
export function markDerived(scope: Scope, plantIds: readonly string[]): Promise<void> {
  return run(
    scope,
    `update plant_states set current = true where collection_id = :c and not current
       and plant_id = any (cast(:ids as uuid[]))`,
    { ids: idList(plantIds) },
  );
}

/** Has these plants, or all of them, derived anew, since their facts have changed: nothing that was reckoned before is of now. */
export function markChanged(scope: Scope, plantIds: readonly string[] | null): Promise<void> {
  return run(
    scope,
    `update plant_states set current = false, facts_version = facts_version + 1 where collection_id = :c
       and (cast(:ids as uuid[]) is null or plant_id = any (cast(:ids as uuid[])))`,
    { ids: plantIds && idList(plantIds) },
  );
}

/** Has every plant derived anew, after a change that touches them all. */
export function markAll(scope: Scope): Promise<void> {
  return run(scope, "update plant_states set current = false where collection_id = :c");
}

const slotted = z.object({ plantId: z.string(), slot: z.number().nullable() });

/** The row of a place as it is shown: by slot, and those without one behind, by code. */
export function row(scope: Scope, placeId: string): Promise<z.output<typeof slotted>[]> {
  const sql = `select c.plant_id as "plantId", c.slot
    from plant_states c join plants p on p.collection_id = c.collection_id and p.id = c.plant_id
    where c.collection_id = :c and c.place_id = :placeId and p.archived_at is null
    order by c.slot nulls last, p.code`;
  return rows(scope, slotted, sql, { placeId });
}

const onBench = listed
  .pick({ id: true, code: true, name: true, placeId: true, state: true, petals: true, apart: true, lookDueOn: true })
  .extend(listed.pick({ lastLookOn: true, lookDueFor: true }).shape)
  .extend({
    growthForm: z.enum(growthFormIds),
    carries: z.number().nullable(),
  });
export type BenchRow = z.output<typeof onBench>;

/** The plants in use as they stand, of all places or of some: of a place by slot, those without one behind, by code. */
export function asTheyStand(scope: Scope, placeIds: readonly string[] | null = null): Promise<BenchRow[]> {
  const sql = `select p.id, p.code, p.name, c.place_id as "placeId", c.state, c.petals, c.apart,
      c.look_due_on::text as "lookDueOn", c.last_look_on::text as "lastLookOn", c.look_due_for as "lookDueFor",
      p.growth_form as "growthForm", g.p as carries
    from plant_states c join plants p on p.collection_id = c.collection_id and p.id = c.plant_id
    left join carriage g on g.collection_id = c.collection_id and g.plant_id = c.plant_id
    where c.collection_id = :c and p.archived_at is null
      and (cast(:ids as uuid[]) is null or c.place_id = any (cast(:ids as uuid[]))) order by c.slot nulls last, p.code`;
  return manyRows(scope, onBench, sql, { ids: placeIds && idList(placeIds) });
}

const byState = z.object({
  placeId: z.string(),
  state: z.enum(states),
  overdue: z.boolean(),
  plants: z.coerce.number(),
});

/** How many plants in use stand in each place, by their state and by whether their look was due before a day. */
export function countsByState(scope: Scope, day: string): Promise<z.output<typeof byState>[]> {
  const sql = `select c.place_id as "placeId", c.state, c.look_due_on < cast(:day as date) as overdue, count(*) as plants
    from plant_states c join plants p on p.collection_id = c.collection_id and p.id = c.plant_id
    where c.collection_id = :c and p.archived_at is null and c.place_id is not null
    group by c.place_id, c.state, overdue`;
  return manyRows(scope, byState, sql, { day });
}
