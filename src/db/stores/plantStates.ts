import type { DerivedState } from "@/core/state/plantState";
import { model } from "../models";
import type { Scope } from "../connection";
import { rows } from "../query";

export interface StateRow extends DerivedState {
  readonly plantId: string;
  readonly placeId: string;
  readonly apart: boolean;
  readonly derivedOn: string;
}

/** Replaces the cached states of these plants. */
export async function put(scope: Scope, states: readonly StateRow[]): Promise<void> {
  if (states.length === 0) return;
  await model(scope.sequelize, "PlantStateRow").bulkCreate(
    states.map((state) => ({ collectionId: scope.collectionId, ...state })),
    {
      updateOnDuplicate: ["placeId", "apart", "state", "petals", "lastLookOn", "lookDueOn", "derivedOn"],
      transaction: scope.transaction,
    },
  );
}

export interface ListedPlant extends Pick<
  StateRow,
  "state" | "petals" | "apart" | "placeId" | "lookDueOn" | "lastLookOn"
> {
  readonly id: string;
  readonly code: string;
  readonly name: string;
}

const every = `select p.id, p.code, p.name, c.state, c.petals, c.apart, c.place_id as "placeId",
    c.look_due_on::text as "lookDueOn", c.last_look_on::text as "lastLookOn"
  from plant_states c join plants p on p.collection_id = c.collection_id and p.id = c.plant_id
  where c.collection_id = :c`;
const listed = `${every} and p.archived_at is null`;

/** All plants in use with their states, by code. */
export function list(scope: Scope): Promise<ListedPlant[]> {
  return rows<ListedPlant>(scope, `${listed} order by p.code`);
}

/** Some plants with their states, archived or not. */
export function of(scope: Scope, ids: readonly string[]): Promise<ListedPlant[]> {
  if (ids.length === 0) return Promise.resolve([]);
  return rows<ListedPlant>(scope, `${every} and p.id in (:ids) order by p.code`, { ids });
}

/** The first `limit` plants whose look is due on or before `today`, the longest overdue first. */
export function lookDue(scope: Scope, today: string, limit: number): Promise<ListedPlant[]> {
  return rows<ListedPlant>(scope, `${listed} and c.look_due_on <= :today order by c.look_due_on, p.code limit :limit`, {
    today,
    limit,
  });
}

export async function countLookDue(scope: Scope, today: string): Promise<number> {
  const sql = `select count(*)::int as n from plant_states c join plants p on p.collection_id = c.collection_id and p.id = c.plant_id
    where c.collection_id = :c and p.archived_at is null and c.look_due_on <= :today`;
  return (await rows<{ n: number }>(scope, sql, { today }))[0]?.n ?? 0;
}

/** Plants that stand apart, and infested plants that do not. */
export function apartOrInfested(scope: Scope): Promise<ListedPlant[]> {
  return rows<ListedPlant>(scope, `${listed} and (c.apart or c.state = 'infested') order by p.code`);
}

/** Plants in a case whose state was derived before `today`, those most out of date first: petals move with the calendar. */
export async function stale(scope: Scope, today: string): Promise<string[]> {
  const sql = `select plant_id as id from plant_states
    where collection_id = :c and state in ('infested', 'surer') and derived_on < :today
    order by derived_on, plant_id`;
  return (await rows<{ id: string }>(scope, sql, { today })).map((row) => row.id);
}

/** Has every plant derived anew whose case was judged by another model than this one. */
export async function markOutdated(scope: Scope, modelVersion: number): Promise<void> {
  await rows(
    scope,
    `update plant_states set derived_on = '2000-01-01' where collection_id = :c and plant_id in (
      select s.plant_id from cases s left join assessments a on a.collection_id = s.collection_id and a.case_id = s.id
      where s.collection_id = :c and s.is_open and s.voided_at is null and a.model_version is distinct from :modelVersion)`,
    { modelVersion },
  );
}
