import { QueryTypes, type Sequelize, type Transaction } from "sequelize";
import { z } from "zod";
import { keepBottle, type Bottle } from "@/core/household/bottles";
import { settings, type Settings } from "@/core/facts/settings";
import type { Scope } from "../connection";
import { model } from "../models";
import { idList, run } from "../query";

const collection = settings.extend({ id: z.string(), isDemo: z.boolean(), bottles: z.array(keepBottle) });
/** A collection: its settings, what is in its cupboard, and whether it is the demo. */
export type Collection = Settings & {
  readonly id: string;
  readonly isDemo: boolean;
  readonly bottles: Bottle[];
};

const columns = `id, name, time_zone as "timeZone", look_every_days as "lookEveryDays", units, spoons,
  alcohol_percent::float8 as "alcoholPercent", clear_percent as "clearPercent", plan_percent as "planPercent",
  risk_percent::float8 as "riskPercent", stretch_looks as "stretchLooks",
  work_days as "workDays", hemisphere, owns, household, not_allowed as "notAllowed", poison_centre as "poisonCentre", bottles, is_demo as "isDemo"`;

/** Every collection of a database, the oldest first. */
export async function all(sequelize: Sequelize, transaction?: Transaction): Promise<Collection[]> {
  const found = await sequelize.query<object>(`select ${columns} from collections order by created_at, id`, {
    type: QueryTypes.SELECT,
    transaction,
  });
  return found.map((row) => collection.parse(row));
}

/** Some collections, the oldest first. */
export async function some(sequelize: Sequelize, ids: readonly string[]): Promise<Collection[]> {
  const sql = `select ${columns} from collections where id = any (cast(:ids as uuid[])) order by created_at, id`;
  const found = await sequelize.query<object>(sql, { type: QueryTypes.SELECT, replacements: { ids: idList(ids) } });
  return found.map((row) => collection.parse(row));
}

export async function find(sequelize: Sequelize, id: string, transaction?: Transaction): Promise<Collection | null> {
  const [found] = await sequelize.query<object>(`select ${columns} from collections where id = :id`, {
    type: QueryTypes.SELECT,
    replacements: { id },
    transaction,
  });
  return found ? collection.parse(found) : null;
}

export async function add(
  sequelize: Sequelize,
  values: Collection,
  createdAt: Date,
  transaction?: Transaction,
): Promise<void> {
  await model(sequelize, "collections").create({ ...values, createdAt }, { transaction });
}

export async function change(
  sequelize: Sequelize,
  id: string,
  values: Settings,
  transaction?: Transaction,
): Promise<void> {
  await model(sequelize, "collections").update({ ...values }, { where: { id }, transaction });
}

/** The bottles of a collection, locked for the rest of the transaction. */
export async function lockBottles(scope: Scope): Promise<readonly Bottle[]> {
  const [found] = await scope.sequelize.query<{ bottles: unknown }>(
    "select bottles from collections where id = :id for update",
    { type: QueryTypes.SELECT, replacements: { id: scope.collectionId }, transaction: scope.transaction },
  );
  return collection.shape.bottles.parse(found?.bottles ?? []);
}

export async function putBottles(scope: Scope, bottles: readonly Bottle[]): Promise<void> {
  await model(scope.sequelize, "collections").update(
    { bottles },
    { where: { id: scope.collectionId }, transaction: scope.transaction },
  );
}

/** Everything in a collection, what refers to other rows before those. */
const innermostFirst = [
  ...["timers", "feeds", "sensor_samples", "sensors", "climate_days", "trap_counts", "room_programmes", "room_endings"],
  ...["carriage_turns", "carriage", "case_numbers", "cleanings", "place_photos"],
  ...["assessments", "exposures", "cases", "plant_states", "photos", "finds", "acts", "programme_steps", "programmes"],
  ...["reactions", "closings", "skips", "looks", "placements", "walk_plants", "walks", "readings", "plants", "places"],
  "memberships",
] as const;

/** Removes a collection with everything in it. */
export async function remove(sequelize: Sequelize, id: string, transaction: Transaction): Promise<void> {
  const asks = { sequelize, transaction, collectionId: id };
  for (const table of innermostFirst) await run(asks, `delete from ${table} where collection_id = :c`);
  await sequelize.query("delete from collections where id = :id", { replacements: { id }, transaction });
}

/** Whether the database knows a time zone by this name. */
export async function knowsZone(sequelize: Sequelize, name: string): Promise<boolean> {
  const [found] = await sequelize.query("select 1 from pg_timezone_names where name = :name", {
    type: QueryTypes.SELECT,
    replacements: { name },
  });
  return found !== undefined;
}
