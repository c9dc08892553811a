import { z } from "zod";
import type { ToldElsewhere } from "@/core/model/learning/elsewhere";
import { experienceFile, type ExperienceFile } from "@/core/record/format/experienceFile";
import { keepBottle, type Bottle } from "@/core/knowledge/household/bottles";
import { settings, type Settings } from "@/core/record/facts/settings";
import type { Scope } from "../connection";
import { any, changeRow, first, insertRow, rows, run, type Asks } from "../query";

const collection = settings.extend({
  id: z.string(),
  isDemo: z.boolean(),
  bottles: z.array(keepBottle),
  toldElsewhere: z.custom<ToldElsewhere>().nullable(),
  settingsVersion: z.number(),
});
/** A collection: its settings, what is in its cupboard, and whether it is the demo. */
export type Collection = Settings & {
  readonly id: string;
  readonly isDemo: boolean;
  readonly bottles: Bottle[];
  /** What other keepers' records have told that were read in; null where none were. */
  readonly toldElsewhere: ToldElsewhere | null;
  /** Goes up with every change of its settings or its cupboard: what was reckoned by others is not kept. */
  readonly settingsVersion: number;
};
/** A collection that is being begun. */
export type NewCollection = Omit<Collection, "settingsVersion" | "toldElsewhere">;

const columns = `id, name, time_zone as "timeZone", look_every_days as "lookEveryDays", units, spoons,
  alcohol_percent::float8 as "alcoholPercent", clear_percent as "clearPercent", every_days as "everyDays",
  risk_percent::float8 as "riskPercent", stretch_looks as "stretchLooks", numbers,
  work_days as "workDays", hemisphere, owns, household, not_allowed as "notAllowed", poison_centre as "poisonCentre", bottles, told_elsewhere as "toldElsewhere", is_demo as "isDemo",
  settings_version::float8 as "settingsVersion"`;

/** Where a collection is asked for by its id: nothing of another is shown. */
type In = Pick<Asks, "sequelize" | "transaction">;

/** Every collection of a database, the oldest first. */
export function all(asks: In): Promise<Collection[]> {
  return rows({ ...asks, every: true }, collection, `select ${columns} from collections order by created_at, id`);
}

/** The collections that an account has to do with, the oldest first. */
export function ofAccount(asks: In, accountId: string): Promise<Collection[]> {
  return rows({ ...asks, accountId }, collection, `select ${columns} from collections order by created_at, id`);
}

export function find({ sequelize, transaction }: In, id: string): Promise<Collection | null> {
  return first(
    { sequelize, transaction, collectionId: id },
    collection,
    `select ${columns} from collections where id = :c`,
  );
}

export async function add(
  { sequelize, transaction }: In,
  { id, ...values }: NewCollection,
  createdAt: Date,
): Promise<void> {
  await insertRow({ sequelize, transaction, collectionId: id }, "collections", { ...values, id, createdAt });
}

export function change(scope: Scope, values: Settings): Promise<void> {
  return changeRow(scope, "collections", { id: scope.collectionId }, { ...values });
}

/**
 * A collection as it is now, which it stays until the transaction ends: what follows from its settings is derived from those that
 * hold when it is kept. Taken before anything that a change of settings waits for.
 */
export function hold(scope: Scope): Promise<Collection | null> {
  return first(scope, collection, `select ${columns} from collections where id = :c for share`);
}

/** The bottles of a collection, locked for the rest of the transaction. */
export async function lockBottles(scope: Scope): Promise<readonly Bottle[]> {
  const sql = "select bottles from collections where id = :c for update";
  return (await first(scope, collection.pick({ bottles: true }), sql))?.bottles ?? [];
}

export function putBottles(scope: Scope, bottles: readonly Bottle[]): Promise<void> {
  return changeRow(scope, "collections", { id: scope.collectionId }, { bottles });
}

/** The experience of other keepers that was read in, its fields in the order of the format; null for none. */
export async function experience(scope: Scope, locked: "locked" | null = null): Promise<ExperienceFile | null> {
  const sql = `select experience from collections where id = :c ${locked ? "for update" : ""}`;
  return (await first(scope, z.object({ experience: experienceFile.nullable() }), sql))?.experience ?? null;
}

/** Keeps the experience of other keepers, with what it comes to; null for none. */
export function putExperience(
  scope: Scope,
  file: ExperienceFile | null,
  toldElsewhere: ToldElsewhere | null,
): Promise<void> {
  return changeRow(scope, "collections", { id: scope.collectionId }, { experience: file, toldElsewhere });
}

/** Everything in a collection, what refers to other rows before those. */
const innermostFirst = [
  ...["timers", "feeds", "sensor_samples", "sensors", "climate_days", "place_photos"],
  ...["trap_counts", "room_programmes", "room_endings", "carriage_turns", "carriage", "case_numbers", "cleanings"],
  ...["assessments", "exposures", "cases", "plant_states", "photos", "finds", "acts", "programme_steps", "programmes"],
  ...["reactions", "closings", "skips", "looks", "placements", "walk_plants", "walks", "readings", "plants", "places"],
  ...["memberships", "troubles"],
] as const;

/**
 * Removes a collection with everything in it. Its row is locked first: who is just writing something down in it ends before, and
 * whoever would begin finds nothing any more.
 */
export async function remove({ sequelize, transaction }: In, id: string): Promise<void> {
  const asks = { sequelize, transaction, collectionId: id };
  await run(asks, "select 1 from collections where id = :c for update");
  for (const table of innermostFirst) await run(asks, `delete from ${table} where collection_id = :c`);
  await run(asks, "delete from collections where id = :c");
}

/** Whether the database knows a time zone by this name. */
export function knowsZone(asks: In, name: string): Promise<boolean> {
  return any(asks, "select 1 from pg_timezone_names where name = :name", { name });
}
