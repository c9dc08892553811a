import type { QueryInterface } from "sequelize";

/** What cards were expected to count, as it was told before they were counted. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table trap_counts add column told_low integer check (told_low >= 0),
      add column told_high integer check (told_high >= told_low),
      add column told_within double precision check (told_within between 0 and 1),
      add check ((told_low is null) = (told_high is null) and (told_low is null) = (told_within is null));
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query(
    "alter table trap_counts drop column told_low, drop column told_high, drop column told_within",
  );
}
