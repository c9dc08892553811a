import type { QueryInterface } from "sequelize";

/** What a plant is worth to its keeper, in a word: the first decision after a find weighs it. */
export async function up({ context }: { context: QueryInterface }) {
  await context.sequelize.query(`
    alter table plants add column worth text not null default 'dear' check (worth in ('replaceable', 'dear', 'irreplaceable'));
  `);
}

export async function down({ context }: { context: QueryInterface }) {
  await context.sequelize.query("alter table plants drop column worth");
}
