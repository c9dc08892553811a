import type { QueryInterface } from "sequelize";

/** What is in the cupboard, bottle by bottle, with what each label says: it belongs to the settings of a collection. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query("alter table collections add column bottles jsonb not null default '[]'");
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("alter table collections drop column bottles");
}
