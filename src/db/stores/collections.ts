import type { Sequelize, Transaction } from "sequelize";
import { QueryTypes } from "sequelize";
import type { Settings } from "@/core/facts/deeds";
import { model } from "../models";

export interface Collection extends Settings {
  readonly id: string;
}

const columns = `id, name, time_zone as "timeZone", look_every_days as "lookEveryDays", units, spoons,
  alcohol_percent::float8 as "alcoholPercent", clear_percent as "clearPercent", plan_percent as "planPercent",
  work_days as "workDays", hemisphere`;

/** The collection this application shows: the oldest one, or null in an empty database. */
export async function oldest(sequelize: Sequelize, transaction?: Transaction): Promise<Collection | null> {
  const [found] = await sequelize.query<Collection>(
    `select ${columns} from collections order by created_at, id limit 1`,
    { type: QueryTypes.SELECT, transaction },
  );
  return found ?? null;
}

export async function add(
  sequelize: Sequelize,
  collection: Collection,
  createdAt: Date,
  transaction?: Transaction,
): Promise<void> {
  await model(sequelize, "Collection").create({ ...collection, createdAt }, { transaction });
}

export async function change(
  sequelize: Sequelize,
  id: string,
  settings: Settings,
  transaction?: Transaction,
): Promise<void> {
  await model(sequelize, "Collection").update({ ...settings }, { where: { id }, transaction });
}
