import type { QueryInterface } from "sequelize";

/** Where the light of a place comes from, how high its board is, and where a room is on the plan. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table places
      add column light text check (light in ('window', 'lamp', 'both')),
      add column height_cm double precision check (height_cm between 0 and 400),
      add column plan_column integer check (plan_column between 0 and 3),
      add column plan_row integer check (plan_row between 0 and 249),
      add check ((plan_column is null) = (plan_row is null));
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(
    "alter table places drop column light, drop column height_cm, drop column plan_column, drop column plan_row;",
  );
}
