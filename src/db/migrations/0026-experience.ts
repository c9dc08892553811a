import type { QueryInterface } from "sequelize";

/** What other keepers' records have taught, as it was read in, and what that comes to. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(
    "alter table collections add column experience jsonb, add column told_elsewhere jsonb;",
  );
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("alter table collections drop column experience, drop column told_elsewhere;");
}
