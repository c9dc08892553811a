import type { QueryInterface } from "sequelize";

/** Who lives with the plants, and what is not allowed or not wanted there: that keeps remedies out of every proposal. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table collections
      add column household text[] not null default '{}',
      add column not_allowed text[] not null default '{}';
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("alter table collections drop column household, drop column not_allowed");
}
