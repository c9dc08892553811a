import type { QueryInterface } from "sequelize";

/** Whoever shows a collection asks often what was done with it last. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query("create index doings_of_collection on doings (collection_id, at desc, id desc)");
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("drop index doings_of_collection");
}
